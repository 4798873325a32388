/** What another shop told of the library bus before it came here, as that shop signed it: changed by a letter it is refused. */
export const busLife = {
  format: 'unhurried-wrench-signed',
  version: 1,
  kind: 'life',
  shop: {
    name: 'North Pier Motors',
    key: 'Ux9bgFKYItd+B5PzjGzuE9uADIq+oXVocSF269dXRGc=',
  },
  madeAt: '2021-06-02T15:00:00.000Z',
  body: {
    of: {
      kind: 'vehicle',
      plate: 'TQ 417',
      vin: 'XNP25KA44WT004170',
      make: 'Norrland',
      model: 'Parcel',
      year: 1998,
      engine: '2.5 L four',
    },
    chapters: [
      {
        id: 'np-88',
        title: 'Clean on the vehicle',
        openedAt: '2020-09-17T08:07:00.000Z',
        closedAt: '2020-09-17T08:56:00.000Z',
        reading: '71 200 km',
        meter: 71200,
        hours: false,
        sections: [
          {
            title: 'Complaint',
            rows: [
              {
                label: 'Owner says',
                value: 'Stalls when coming to rest, worse when cold.',
                note: '',
              },
            ],
          },
          {
            title: 'Checked and decided',
            rows: [
              {
                label: 'Decided',
                value: 'Clean on the vehicle',
                note: 'deposit at the front, body stays on (technician)',
              },
              {
                label: 'Believed then',
                value:
                  'Idle valve sticks or is coked 38 %, Deposit at the plate edge 10 %, Intake leak after the meter 10 %',
                note: 'knowledge 1; our judgement, not a proof',
              },
              {
                label: 'Departs from the house rule',
                value: 'On the vehicle, what can be reached',
                note: 'the ferry left',
              },
            ],
          },
          {
            title: 'Units',
            rows: [
              {
                label: 'Throttle body, only',
                value: 'NP-25-1100, variant C',
                note: 'stayed on',
              },
              {
                label: 'Idle air valve, under the body',
                value: 'NP-25-1120, variant 2',
                note: 'stayed on',
              },
            ],
          },
          {
            title: 'Found on the bench',
            rows: [
              {
                label: 'Deposit, front, before',
                value: '3, crust',
                note: '',
              },
              {
                label: 'Deposit, front, after',
                value: '0, as new',
                note: '',
              },
            ],
          },
          {
            title: 'Used and fitted',
            rows: [
              {
                label: 'intake and throttle cleaner, sensor-safe',
                value: '58 g',
                note: 'throttle body',
              },
              {
                label: 'Body gasket',
                value: '1 × price left out',
                note: 'NP-25-1107',
              },
            ],
          },
          {
            title: 'Waste',
            rows: [
              {
                label: 'Solvent rags',
                value: 'NOT TAKEN AWAY',
                note: '58 g of cleaner went onto cloth and parts',
              },
            ],
          },
          {
            title: 'What to watch',
            rows: [
              {
                label: 'Watch',
                value: 'The valve’s ring is firm: look at it the next time.',
                note: '',
              },
              {
                label: 'Next due',
                value: '121 200 km',
                note: '',
              },
              {
                label: 'Note',
                value: 'Oil mist in the duct; breather valve rattled free, not changed.',
                note: '',
              },
            ],
          },
        ],
      },
      {
        id: 'np-131',
        title: 'Clean on the bench',
        openedAt: '2021-06-02T08:07:00.000Z',
        closedAt: '2021-06-02T08:56:00.000Z',
        reading: '96 400 km',
        meter: 96400,
        hours: false,
        sections: [
          {
            title: 'Complaint',
            rows: [
              {
                label: 'Owner says',
                value: 'Hunts at the lights, idle up and down.',
                note: '',
              },
            ],
          },
          {
            title: 'Checked and decided',
            rows: [
              {
                label: 'Decided',
                value: 'Clean on the bench',
                note: 'deposit on both faces (technician)',
              },
              {
                label: 'Believed then',
                value:
                  'Idle valve sticks or is coked 21 %, Deposit at the plate edge 11 %, Idle screw O-ring hard 11 %',
                note: 'knowledge 1; our judgement, not a proof',
              },
            ],
          },
          {
            title: 'Units',
            rows: [
              {
                label: 'Throttle body, only',
                value: 'NP-25-1100, variant C',
                note: 'stayed on',
              },
              {
                label: 'Idle air valve, under the body',
                value: 'NP-25-1120, variant 2',
                note: 'stayed on',
              },
            ],
          },
          {
            title: 'Found on the bench',
            rows: [
              {
                label: 'Deposit, front, before',
                value: '3, crust',
                note: '',
              },
              {
                label: 'O-ring hardness, valve ring, before',
                value: 'Firmer than a new one: by eye or hand, not measured',
                note: '',
              },
              {
                label: 'Deposit, front, after',
                value: '0, as new',
                note: '',
              },
            ],
          },
          {
            title: 'Used and fitted',
            rows: [
              {
                label: 'intake and throttle cleaner, sensor-safe',
                value: '58 g',
                note: 'throttle body',
              },
              {
                label: 'Body gasket',
                value: '1 × price left out',
                note: 'NP-25-1107',
              },
            ],
          },
          {
            title: 'Waste',
            rows: [
              {
                label: 'Solvent rags',
                value: 'NOT TAKEN AWAY',
                note: '58 g of cleaner went onto cloth and parts',
              },
            ],
          },
          {
            title: 'What to watch',
            rows: [
              {
                label: 'Watch',
                value: 'The valve’s ring is firm: look at it the next time.',
                note: '',
              },
              {
                label: 'Next due',
                value: '146 400 km',
                note: '',
              },
            ],
          },
        ],
      },
    ],
    earlier: [],
  },
  signature: 'BqKS3BFFC6ijy+4TyDHxGuSdhz8wsawr+1v+jlcpT08BOiRrZcIWz+bXhViRQJ9LgbizVlyD15nIFgui5PWDBA==',
};
