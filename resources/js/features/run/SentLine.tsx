import { Link } from 'react-router';
import { useOutbox } from '../../shared/lib/outbox';
import { announceSignedOut } from '../../shared/lib/signedOut';

/** Where the numbers are: with the server, on this device, or in this page alone. Never more than is true. */
export function SentLine({ hasNumbers }: { hasNumbers: boolean }) {
  const { unsent, refused, unkept, isSignedOut } = useOutbox();
  if (unkept > 0)
    return (
      <Link to="/waiting" className="warn" role="alert">
        This phone will not keep {unkept === 1 ? 'a number' : `${unkept} numbers`}: leave this page open until sent
      </Link>
    );
  if (unsent === 0) return <span role="status">{hasNumbers && 'all numbers sent'}</span>;
  if (isSignedOut)
    return (
      <span role="status">
        <button type="button" className="link" onClick={announceSignedOut}>
          {unsent} saved here: sign in to send
        </button>
      </span>
    );
  return (
    <span role="status">
      <Link to="/waiting" className={refused > 0 ? 'warn' : undefined}>
        {refused > 0 ? `${refused} not taken: see why` : `${unsent} saved here, not sent yet`}
      </Link>
    </span>
  );
}
