import { createServer, type Server } from 'node:http';
import QRCode from 'qrcode';
import { createHash, X509Certificate } from 'node:crypto';
import type { Network } from './network.ts';

/** What the page and its certificate may do: nothing. */
const HEADERS = {
  'content-security-policy':
    "default-src 'none'; img-src data:; style-src 'sha256-STYLE'; frame-ancestors 'none'; base-uri 'none'; form-action 'none'",
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'cache-control': 'no-store',
} as const;

const STYLE =
  'body{margin:0 auto;max-width:40rem;padding:2rem 1.25rem;background:#f7f3ea;color:#20292b;font:1.125rem/1.5 system-ui,sans-serif}' +
  'h1{font-size:1.75rem;line-height:1.2;color:#1f4b43}li{margin:.75rem 0}a{color:#1f4b43;font-weight:700}' +
  'code{display:block;padding:.75rem;border-left:3px solid #8a6a1f;background:#fffdf8}' +
  'img{width:12rem;height:12rem;background:#fff}' +
  '@media(prefers-color-scheme:dark){body{background:#12191a;color:#ece6d8}h1,a{color:#7fbfae}code{background:#1a2325;border-color:#d9b45b}}';

const escape = (text: string): string => text.replace(/[&<>"']/g, (sign) => `&#${sign.codePointAt(0) ?? 0};`);

/** The page that brings a tablet in: how to trust the authority, and where to go then. */
async function pageOf(network: Network, shop: string, address: string): Promise<string> {
  const code = await QRCode.toDataURL(address, { margin: 1, width: 384 });
  return `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>Bring a tablet in: ${escape(shop)}</title><style>${STYLE}</style>
<main>
<h1>Bring this tablet in to ${escape(shop)}</h1>
<ol>
<li><a href="/authority.crt">Fetch the workshop’s certificate</a> and let the tablet keep it as a certificate authority: under its settings for security or certificates, by its own steps. Where it comes as a profile, the profile is installed first and then trusted under the tablet’s own description of itself.</li>
<li>Compare its SHA-256 fingerprint with the one that the program shows under Settings, Who is let in. Go on only when they are the same:
<code>${escape(network.fingerprint).replaceAll(':', ':<wbr>')}</code></li>
<li>Then open <a href="${escape(address)}">${escape(address)}</a>, here or by this code:<br><img alt="The address as a code" src="${code}"></li>
</ol>
<p>This page came over plain HTTP, as it must: nothing else is served here. The certificate holds for this one machine and for nothing else on the internet.</p>
</main>
</html>`;
}

/**
 * The plain server that brings tablets in. It serves one page and the authority's certificate, to whoever asks, and
 * nothing else.
 */
export async function joiningServer(network: Network, shop: string, address: string): Promise<Server> {
  const page = await pageOf(network, shop, address);
  const style = createHash('sha256').update(STYLE).digest('base64');
  const headers = { ...HEADERS, 'content-security-policy': HEADERS['content-security-policy'].replace('STYLE', style) };
  const der = new X509Certificate(network.authority).raw;
  return createServer((request, response) => {
    if (request.method !== 'GET' && request.method !== 'HEAD') {
      response.writeHead(405, { ...headers, allow: 'GET, HEAD' }).end();
      return;
    }
    switch (request.url) {
      case '/':
        response.writeHead(200, { ...headers, 'content-type': 'text/html; charset=utf-8' }).end(page);
        return;
      case '/authority.crt':
        response.writeHead(200, { ...headers, 'content-type': 'application/x-x509-ca-cert' }).end(der);
        return;
      default:
        response.writeHead(404, headers).end();
    }
  });
}
