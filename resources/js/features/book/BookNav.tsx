import { NavLink } from 'react-router';

export function BookNav() {
  return (
    <nav aria-label="Book" className="acts booknav">
      <NavLink to="/book" end>
        Moves
      </NavLink>
      <NavLink to="/book/drills" end>
        Drills
      </NavLink>
      <NavLink to="/book/ladders" end>
        Ladders
      </NavLink>
    </nav>
  );
}
