import { correctItem, itemCorrected, removalStruck, strikeRemoval } from './correcting.ts';
import { takeOffTyped } from './takingOff.ts';
import { addConstraint, addItem, constraintAdded, itemAdded, itemRemarked, remarkItem } from './listing.ts';
import { itemRemoved, removeItem, restTakenOut, takeOutRest } from './removing.ts';
import { itemTiedAside, tieAside } from './aside.ts';
import { offOrderSaid, sayOffOrder } from './offOrder.ts';
import { itemPutBack, orderBroken, putBackItem } from './refitting.ts';
import {
  benchFinished,
  confirmConnector,
  connectorConfirmed,
  finishBench,
  itemLeftOff,
  itemSwappedOver,
  leaveOffItem,
  stepTaken,
  swapOver,
  takeStep,
} from './confirming.ts';
import { addOpening, openingAdded, openingPlugged, openingUnplugged, plugOpening, unplugOpening } from './openings.ts';
import {
  dropObject,
  endSearch,
  objectDropped,
  objectPlaced,
  objectTakenOut,
  placeObject,
  searchEnded,
  takeObjectOut,
} from './objects.ts';
import {
  flagItem,
  flagSettled,
  itemFlagged,
  keepMeasure,
  measureKept,
  measureRestored,
  restoreMeasure,
  settleFlag,
} from './flags.ts';
import { layOutTray, namePocket, pocketNamed, trayLaidOut } from './tray.ts';

/** The facts of this subject, and the commands that record them. */
export const ITEMS = {
  facts: [
    itemAdded,
    constraintAdded,
    itemRemarked,
    itemRemoved,
    restTakenOut,
    itemPutBack,
    orderBroken,
    connectorConfirmed,
    itemLeftOff,
    itemSwappedOver,
    benchFinished,
    stepTaken,
    openingPlugged,
    openingUnplugged,
    openingAdded,
    objectPlaced,
    objectTakenOut,
    objectDropped,
    searchEnded,
    itemFlagged,
    flagSettled,
    measureKept,
    measureRestored,
    trayLaidOut,
    pocketNamed,
    itemCorrected,
    removalStruck,
    itemTiedAside,
    offOrderSaid,
  ],
  commands: [
    addItem,
    takeOffTyped,
    addConstraint,
    remarkItem,
    removeItem,
    takeOutRest,
    putBackItem,
    confirmConnector,
    leaveOffItem,
    swapOver,
    finishBench,
    takeStep,
    plugOpening,
    unplugOpening,
    addOpening,
    placeObject,
    takeObjectOut,
    dropObject,
    endSearch,
    flagItem,
    settleFlag,
    keepMeasure,
    restoreMeasure,
    layOutTray,
    namePocket,
    correctItem,
    strikeRemoval,
    tieAside,
    sayOffOrder,
  ],
} as const;
