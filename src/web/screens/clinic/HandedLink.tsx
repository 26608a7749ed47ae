import { useState } from 'react';
import { styled } from 'styled-components';
import { Button } from '../../kit/Button.tsx';
import { copyText } from '../../kit/copyText.ts';
import { Notice } from '../../kit/Notice.tsx';
import { clinicTexts } from '../../texts/clinicTexts.ts';

const Address = styled.code`
  display: block;
  padding: 6px 0;
  font: 14px/1.4 var(--figures);
  overflow-wrap: anywhere;
  user-select: all;
`;

/** A link that is shown once, to be handed over. */
export function HandedLink({ name, token }: { readonly name: string; readonly token: string }) {
  const [said, setSaid] = useState<string | null>(null);
  const address = `${location.origin}/join#${token}`;
  const copy = async (): Promise<void> =>
    setSaid((await copyText(address)) ? clinicTexts.copied : clinicTexts.notCopied);
  return (
    <Notice>
      {clinicTexts.linkReady(name)}
      <Address>{address}</Address>
      <Button onPress={() => void copy()}>{clinicTexts.copyLink}</Button> {said}
    </Notice>
  );
}
