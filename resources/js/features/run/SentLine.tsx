import { useOutbox } from '../../shared/lib/outbox';
import { announceSignedOut } from '../../shared/lib/signedOut';

interface SentLineProps {
  hasNumbers: boolean;
  /** The server has said so, of the run itself. */
  isSignedOut: boolean;
  onWaiting: () => void;
}

/** Where the numbers are: with the server, on this device, or in this page alone. Never more than is true. */
export function SentLine({ hasNumbers, isSignedOut, onWaiting }: SentLineProps) {
  const { unsent, refused, unkept, isSignedOut: mayNotSend } = useOutbox();
  if (unkept > 0)
    return (
      <span role="alert">
        <button type="button" className="link warn" onClick={onWaiting}>
          This phone will not keep {unkept === 1 ? 'a number' : `${unkept} numbers`}: leave this page open until sent
        </button>
      </span>
    );
  if (unsent > 0 && !mayNotSend)
    return (
      <span role="status">
        <button type="button" className={refused > 0 ? 'link warn' : 'link'} onClick={onWaiting}>
          {refused > 0 ? `${refused} not taken: see why` : `${unsent} saved here, not sent yet`}
        </button>
      </span>
    );
  if (unsent > 0 || isSignedOut)
    return (
      <span role="status">
        <button type="button" className="link" onClick={announceSignedOut}>
          {unsent > 0 ? `${unsent} saved here: sign in to send` : 'Signed out: sign in'}
        </button>
      </span>
    );
  return <span role="status">{hasNumbers && 'all numbers sent'}</span>;
}
