import { useNavigate } from 'react-router';
import { Button } from '../../shared/ui/Button';
import { WaitingList } from '../../shared/ui/WaitingList';

/** What waits on this device, as a view of its own. */
export function WaitingPage() {
  const navigate = useNavigate();
  return (
    <>
      <div className="head">
        <h1>What waits here</h1>
        <div className="acts">
          <Button onClick={() => void navigate(-1)}>Back</Button>
        </div>
      </div>
      <div className="page" style={{ paddingTop: 0 }}>
        <WaitingList />
      </div>
    </>
  );
}
