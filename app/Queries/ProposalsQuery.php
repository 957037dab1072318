<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\DrillVersion;
use App\Models\Squad;
use App\Planning\PlanDraft;
use App\Planning\WorkedOut;
use FleetSparrow\Core\Builder\BuildAnswer;
use FleetSparrow\Core\Builder\BuildRequest;
use FleetSparrow\Core\Builder\Lock;
use FleetSparrow\Core\Builder\Refusal;
use FleetSparrow\Core\Builder\SessionBuilder;
use FleetSparrow\Core\Builder\Wish;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Plan\Area;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\LengthUnit;
use FleetSparrow\Core\Shared\Memo;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Proposes sessions for a squad out of its book, its season and what a coach asks for. Nothing is kept. */
final class ProposalsQuery
{
    public function __construct(
        private readonly PlanEvaluationQuery $plans,
        private readonly DrillBookQuery $book,
        private readonly NeedsQuery $needs,
        private readonly WorkedOut $workedOut,
    ) {
    }

    /**
     * @param  array{theme: Family|null, wish: Wish, locks: list<Lock>, bans: list<string>, seen: list<list<string>>,
     *     joinedSessionIds: list<int>, seed: int}  $asked
     * @return array{answer: BuildAnswer, versions: Collection<string, DrillVersion>}
     *
     * @throws \FleetSparrow\Core\Exception\CoreException If the weather cannot be, or more players are ticked than a session takes.
     */
    public function of(Squad $squad, PlanDraft $draft, array $asked, CalendarDate $day, ?int $coachId): array
    {
        [$draft, $refusals] = $this->withPlayers($squad, $draft);
        $versions = $this->book->versions($squad);
        $drills = array_values($versions->map(fn (DrillVersion $version): Drill => $version->drill())->all());
        // Whatever is chosen, the players' own numbers count in it as they will in the plan.
        $asBlocks = array_map(
            fn (Drill $drill): ?Block => $drill->dose === null ? null : Block::ofDrill(
                $drill->slug,
                $drill,
                $drill->dose,
                Tempo::Steady,
                null,
            ),
            $drills,
        );
        $context = fn (Memo $memo): PlanContext => $this->plans->context(
            $squad,
            $draft,
            array_values(array_filter($asBlocks)),
            $day,
            $coachId,
            $memo,
        );
        $answer = $this->workedOut->with(
            $squad,
            fn (Memo $memo): BuildAnswer => SessionBuilder::propose($this->request($squad, $draft, $drills, $context($memo), $asked, $day)),
            'proposals',
        );

        return [
            'answer' => $answer->refusing($refusals),
            'versions' => $versions,
        ];
    }

    /**
     * @param  list<Drill>  $drills
     * @param  array{theme: Family|null, wish: Wish, locks: list<Lock>, bans: list<string>, seen: list<list<string>>,
     *     joinedSessionIds: list<int>, seed: int}  $asked
     */
    private function request(
        Squad $squad,
        PlanDraft $draft,
        array $drills,
        PlanContext $context,
        array $asked,
        CalendarDate $day,
    ): BuildRequest {
        return new BuildRequest(
            book: $drills,
            context: $asked['wish'] === Wish::RainyCorner
                ? $context->within(new Area(Length::ofMetres(5.0), Length::ofMetres(5.0), LengthUnit::Metre))
                : $context,
            slotMinutes: $draft->slotMinutes,
            theme: $asked['theme'],
            wish: $asked['wish'],
            needs: $this->needs->of($squad, $day, $draft->comingPlayerIds),
            locks: $asked['locks'],
            bans: $asked['bans'],
            joined: $asked['wish'] === Wish::JoinTwo ? $this->joined($squad, $asked['joinedSessionIds']) : null,
            seen: $asked['seen'],
            seed: self::seed($squad, $day, $asked['seed']),
            underAge: AgeGroup::tryOf($squad->age_group)?->under,
        );
    }

    /** Another for every squad and week, so that not everybody begins with the same drill every time. */
    private static function seed(Squad $squad, CalendarDate $day, int $asked): int
    {
        $week = intdiv(CalendarDate::fromIso('2024-01-01')->daysUntil($day), 7);

        return (int) hexdec(hash('crc32b', "{$squad->id} {$week} {$asked}"));
    }

    /**
     * A session for nobody cannot be built; the whole squad is the nearest thing.
     *
     * @return array{PlanDraft, list<Refusal>}
     */
    private function withPlayers(Squad $squad, PlanDraft $draft): array
    {
        if ($draft->comingPlayerIds !== []) {
            return [$draft, []];
        }
        $everybody = array_values(array_map(intval(...), $squad->players->modelKeys()));

        return [
            $draft->withPlayers($everybody),
            $everybody === []
                ? []
                : [new Refusal('a session for nobody', 'Nobody is coming yet.', 'Built for the whole squad of '.count($everybody).'.')],
        ];
    }

    /**
     * The drills of two sessions of the squad; of the last two that were run where none are named.
     *
     * @param  list<int>  $sessionIds
     * @return array{list<string>, list<string>}
     */
    private function joined(Squad $squad, array $sessionIds): array
    {
        $ids = $squad->trainingSessions()->when(
            $sessionIds !== [],
            fn ($query) => $query->whereKey($sessionIds),
            fn ($query) => $query->whereNotNull('run_finished_at_utc'),
        )
            ->orderByDesc('starts_at_utc')->limit(2)->pluck('id')->all();
        $slugs = DB::table('session_blocks')->join('drill_versions', 'drill_versions.id', '=', 'session_blocks.drill_version_id')
            ->whereIn('training_session_id', $ids)->orderBy('position')->get(['training_session_id', 'slug']);
        $of = fn (int $place): array => isset($ids[$place]) ? array_values(
            array_map(strval(...), $slugs->where('training_session_id', $ids[$place])->pluck('slug')->unique()->all()),
        ) : [];

        return [$of(0), $of(1)];
    }
}
