const CRLF = '\r\n';
const LINE = 76;

/** Base64 of UTF-8, in lines of 76 characters (RFC 2045). */
function base64(text: string): string {
  const bytes = new TextEncoder().encode(text);
  const binary = Array.from(bytes, (byte) => String.fromCharCode(byte)).join('');
  return (btoa(binary).match(new RegExp(`.{1,${LINE}}`, 'g')) ?? []).join(CRLF);
}

const BOUNDARY = 'sounding-draft';

function bodyPart(type: string, text: string, fileName: string | null): string {
  return [
    `--${BOUNDARY}`,
    `Content-Type: ${type}; charset=utf-8`,
    'Content-Transfer-Encoding: base64',
    ...(fileName === null ? [] : [`Content-Disposition: attachment; filename="${fileName}"`]),
    '',
    base64(text),
  ].join(CRLF);
}

/**
 * A draft of an e-mail with a plain text and, where there is one, a calendar (RFC 5322, RFC 2045). `X-Unsent` opens it as
 * a draft.
 */
export function mailDraft(subject: string, text: string, calendar: string | null): string {
  return [
    `Subject: =?utf-8?B?${base64(subject).replaceAll(CRLF, '')}?=`,
    'X-Unsent: 1',
    'MIME-Version: 1.0',
    `Content-Type: multipart/mixed; boundary="${BOUNDARY}"`,
    '',
    bodyPart('text/plain', text, null),
    ...(calendar === null ? [] : [bodyPart('text/calendar', calendar, 'plan.ics')]),
    `--${BOUNDARY}--`,
    '',
  ].join(CRLF);
}
