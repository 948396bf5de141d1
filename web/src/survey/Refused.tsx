import { Notice } from '../kit/Notice';
import { faultPlaceWords } from './change-words';
import { useStored } from './use-field';

/** What the server would not take of what was typed, and what it expected. */
export function Refused() {
  return useStored(({ faults }) => faults).map((fault) => (
    <Notice key={fault.path} kind="act" title={`${faultPlaceWords(fault.path)} ${fault.wrong}`}>
      Expected: {fault.expected}. Undo or correct it; nothing typed is lost.
    </Notice>
  ));
}
