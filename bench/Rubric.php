<?php

declare(strict_types=1);

namespace Bench;

use FleetSparrow\Core\Advice\RubricRule;
use FleetSparrow\Core\Builder\BuildRequest;
use FleetSparrow\Core\Builder\Needs;
use FleetSparrow\Core\Builder\Noted;
use FleetSparrow\Core\Builder\Phase;
use FleetSparrow\Core\Builder\Proposal;
use FleetSparrow\Core\Builder\SessionBuilder;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Shared\StrongFoot;

/** Proposals of every theme, size of group and slot, with a season behind them, held against the rubric. */
final class Rubric
{
    public const SIZES = [1, 2, 4, 7, 11, 14, 20];

    public const SLOTS = [20, 45, 60, 90];

    public int $requests = 0;

    public int $sessions = 0;

    /** @var array<string, true> slugs of first drills */
    public array $openers = [];

    /** @var array<string, int> rule → proposals that miss it */
    public array $missed = [];

    private float $score = 0.0;

    private int $said = 0;

    private int $bare = 0;

    /** @var list<Drill> */
    private array $book = [];

    private Memo $memo;

    public function __construct()
    {
        $this->memo = new Memo;
        foreach ((array) glob(dirname(__DIR__).'/book/drills/*.json') as $file) {
            /** @var array{drills: list<array<string, mixed>>} $read */
            $read = json_decode((string) file_get_contents((string) $file), true, 64, JSON_THROW_ON_ERROR);
            array_push($this->book, ...array_map(DrillFactory::fromFields(...), $read['drills']));
        }
        foreach (RubricRule::cases() as $rule) {
            $this->missed[$rule->value] = 0;
        }
    }

    /**
     * @param  list<Family>  $themes
     * @param  list<int>  $sizes
     * @param  list<int>  $slots
     */
    public function of(array $themes, array $sizes = self::SIZES, array $slots = self::SLOTS): self
    {
        foreach ($themes as $theme) {
            foreach ($sizes as $size) {
                foreach ($slots as $slot) {
                    $this->requests++;
                    foreach (SessionBuilder::propose($this->request($theme, $size, $slot))->proposals as $proposal) {
                        $this->look($proposal);
                    }
                }
            }
        }

        return $this;
    }

    public function meanScore(): float
    {
        return $this->score / max(1, $this->sessions);
    }

    /** Share of reasons without a person, day or number. */
    public function bareShare(): float
    {
        return $this->bare / max(1, $this->said);
    }

    private function look(Proposal $proposal): void
    {
        $this->sessions++;
        $this->openers[self::opener($proposal)] = true;
        $rating = $proposal->evaluation->rating;
        $this->score += $rating?->score() ?? 0.0;
        foreach ($rating->remarks ?? [] as $remark) {
            $this->missed[$remark->rule->value]++;
        }
        foreach ($proposal->blocks as $block) {
            foreach ($block->reasons as $reason) {
                $this->said++;
                $this->bare += preg_match('/\d|Player/', $reason->words) === 1 ? 0 : 1;
            }
        }
    }

    private static function opener(Proposal $proposal): string
    {
        foreach ($proposal->blocks as $block) {
            if ($block->phase === Phase::WarmUp) {
                return $block->block->drill->slug ?? '';
            }
        }

        return '';
    }

    private function request(Family $theme, int $size, int $slot): BuildRequest
    {
        $age = AgeGroup::of('U12');
        $players = array_map(
            static fn (int $id): PlanPlayer => new PlanPlayer($id, $id % 5 === 0 ? StrongFoot::Left : StrongFoot::Right, age: $age),
            range(1, $size),
        );

        return new BuildRequest(
            book: $this->book,
            context: PlanContext::of(
                players: $players,
                knownDrills: [],
                rules: new ClockRules,
                kit: new KitOwned(markers: 60, balls: 20, goals: 4, wallPlaces: 2),
                memo: $this->memo,
            ),
            slotMinutes: $slot,
            theme: $theme,
            needs: $this->season(),
            seed: 12,
            underAge: 12,
        );
    }

    /** A season of sessions: most drills met, some of them lately, a few players stuck or next on a ladder. */
    private function season(): Needs
    {
        [$families, $drills, $records, $next, $stuck, $met] = [[], [], [], [], [], []];
        foreach ($this->book as $i => $drill) {
            if ($i % 3 === 0) {
                continue;
            }
            $ago = ($i * 37) % 90 + 2;
            $drills[$drill->slug] = $ago;
            $families[$drill->family->value] = min($families[$drill->family->value] ?? 365, $ago);
            array_push($met, ...$drill->demands->needs);
            if ($drill->rule !== null) {
                $records[$drill->slug] = ($i * 7) % 14 + 1;
            }
            if ($i % 11 === 1) {
                $next[$drill->slug] = ['Player 3', 'Player 5'];
                $stuck[$drill->slug] = [new Noted('Player 1', 16.0, CalendarDate::fromIso('2026-10-06'))];
            }
        }

        return new Needs(
            familyDaysAgo: $families,
            drillDaysAgo: $drills,
            lastTime: array_keys(array_filter($drills, static fn (int $ago): bool => $ago <= 3)),
            weakerShare: 0.41,
            nextRungs: array_map(count(...), $next),
            records: $records,
            movesMet: array_values(array_unique($met)),
            nextFor: $next,
            stuck: $stuck,
            sessions: 34,
        );
    }
}
