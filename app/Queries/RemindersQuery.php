<?php

declare(strict_types=1);

namespace App\Queries;

use App\Tenancy\ClubContext;
use App\Tenancy\ClubDay;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Run\ReminderEvent;
use FleetSparrow\Core\Run\ReminderKind;
use FleetSparrow\Core\Run\Reminders;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** What is open beside the names of some players, as one of the staff may see it. */
final class RemindersQuery
{
    /** What was said longer ago is of another season. */
    private const DAYS = 400;

    private const PRIVATE = [ReminderKind::Watch, ReminderKind::Seen];

    public function __construct(private readonly ClubContext $context)
    {
    }

    /** @param  list<int>  $playerIds */
    public function of(array $playerIds, ClubDay $day, int $seenBy): Reminders
    {
        $rows = DB::table('reminder_events')->where('club_id', $this->context->clubId())->whereIn('player_id', $playerIds)
            ->where('noted_at_utc', '>=', now('UTC')->subDays(self::DAYS))
            ->where(fn (Builder $some) => $some
                ->whereNotIn('kind', array_map(fn (ReminderKind $kind): string => $kind->value, self::PRIVATE))
                ->orWhere('noted_by', $seenBy))
            ->orderBy('noted_at_utc')->orderBy('uuid')->get(['player_id', 'kind', 'words', 'noted_at_utc']);

        return Reminders::of($rows->map(fn (object $row): ReminderEvent => new ReminderEvent(
            (int) $row->player_id,
            ReminderKind::from((string) $row->kind),
            (string) $row->words,
            $day->on(CarbonImmutable::parse((string) $row->noted_at_utc, 'UTC')),
        ))->all());
    }
}
