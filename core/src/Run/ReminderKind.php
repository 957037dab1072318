<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Run;

/** What is noted beside a player's name in a run. */
enum ReminderKind: string
{
    /** Told what to mend, in few words. */
    case Said = 'said';

    /** Needed once more. */
    case Again = 'again';

    /** Mended. */
    case Fixed = 'fixed';

    /** To be looked at, for reasons that whoever notes it keeps to themselves. */
    case Watch = 'watch';

    case Seen = 'seen';

    public function isPrivate(): bool
    {
        return $this === self::Watch || $this === self::Seen;
    }
}
