import { Link } from 'react-router';

export function NotFound() {
  return (
    <div className="page stack">
      <h1>Nothing here</h1>
      <p>
        There is no view under this address. <Link to="/today">Go to Today</Link>
      </p>
    </div>
  );
}
