<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Mark;
use App\Models\Player;
use App\Models\RecordLine;
use App\Planning\SquadAims;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\Mark as CoreMark;
use FleetSparrow\Core\Record\TryReading;
use FleetSparrow\Core\Shared\CalendarDate;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\Query\Builder;

/** Answers "how do you know?" for a record: every try of the line, and everything said of each. */
final class TriesQuery
{
    public function __construct(private readonly RecordQuery $records, private readonly SquadAims $aims)
    {
    }

    /** @throws ModelNotFoundException<RecordLine> If the line is unknown or the player has no mark on it. */
    public function of(Player $player, string $lineKey): LineTries
    {
        $line = RecordLine::query()->whereKey($lineKey)->firstOrFail();
        $marks = Mark::query()->toBase()->where('marks.player_id', $player->id)->where('marks.line_key', $lineKey)
            ->leftJoin('users', 'users.id', '=', 'marks.entered_by')
            ->orderByDesc('marks.marked_on')
            ->orderBy('marks.training_session_id')
            ->orderBy('marks.try_number')
            ->orderBy('marks.recorded_at_utc')
            ->select('marks.*', 'users.name as by_name')
            ->selectSub(fn (Builder $newer) => $newer->tap(Mark::holding(...))->limit(1), 'is_superseded')
            ->get();
        $tries = [];
        foreach ($marks as $mark) {
            $tries["{$mark->training_session_id}/{$mark->try_number}"][] = (array) $mark;
        }
        if ($tries === []) {
            throw (new ModelNotFoundException)->setModel(RecordLine::class, [$lineKey]);
        }

        return new LineTries(
            $player,
            $line,
            $this->records->readings([$player->id], [$lineKey])[$player->id][$lineKey] ?? LineReading::ofDays($line->kind, []),
            array_values(array_map(fn (array $of): array => $this->read($line, $of), $tries)),
            $this->aims->of($player->squad, [$lineKey => $line])[$lineKey],
        );
    }

    /**
     * @param  non-empty-list<array<string, mixed>>  $marks
     * @return array{sessionId: int, on: string, tryNumber: int, value: float|null, isOpen: bool, marks: list<array<string, mixed>>}
     */
    private function read(RecordLine $line, array $marks): array
    {
        $standing = [];
        foreach ($marks as $mark) {
            if (! (bool) $mark['is_superseded']) {
                $standing[] = new CoreMark(
                    CalendarDate::fromIso((string) $mark['marked_on']),
                    (float) $mark['value'],
                    (bool) $mark['is_void'],
                    (bool) $mark['is_disputed'],
                );
            }
        }
        // What was replaced stands above what replaced it, even when both came in one batch.
        usort($marks, fn (array $a, array $b): int => (int) $b['is_superseded'] <=> (int) $a['is_superseded']);
        $reading = $standing === [] ? null : TryReading::of($line->kind, $standing);
        $first = $marks[0];

        return [
            'sessionId' => (int) $first['training_session_id'],
            'on' => (string) $first['marked_on'],
            'tryNumber' => (int) $first['try_number'],
            'value' => $reading?->value,
            'isOpen' => $reading !== null && $reading->isOpen,
            'marks' => $marks,
        ];
    }
}
