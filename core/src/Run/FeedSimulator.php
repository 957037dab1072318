<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Run;

use FleetSparrow\Core\Shared\Draw;
use FleetSparrow\Core\Shared\Foot;
use FleetSparrow\Core\Shared\Uuid;
use FleetSparrow\Core\Touch\Contact;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Group;
use FleetSparrow\Core\Touch\Item;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Surface;

/**
 * Plays a touch script as a device would report it: at a cadence, give or take; some touches missed, some without their foot, some sent
 * twice, some late. The same for the same seed.
 */
final readonly class FeedSimulator
{
    /**
     * @param  float  $perSecond  touches
     * @param  float  $jitter  share of an interval by which a touch comes early or late
     * @param  float  $missed  share of touches the device does not see
     * @param  float  $unknown  share whose foot and surface it does not know
     * @param  float  $doubled  share it sends twice
     * @param  float  $late  share that comes after the ten that follow it
     */
    public function __construct(
        public Script $script,
        public float $perSecond,
        public int $seed = 1,
        public float $jitter = 0.1,
        public float $missed = 0.0,
        public float $unknown = 0.0,
        public float $doubled = 0.0,
        public float $late = 0.0,
    ) {
    }

    /** @return list<array{second: float, side: string|null, surface: string|null, id: string}> in the order in which they are sent */
    public function lines(float $seconds): array
    {
        $contacts = self::contacts($this->script->resolved(Foot::Right)->items);
        $sent = [];
        for ($k = 0; $contacts !== [] && ($at = $k / $this->perSecond) < $seconds; $k++) {
            if ($this->share("missed {$k}") < $this->missed) {
                continue;
            }
            [$side, $surface] = $this->share("unknown {$k}") < $this->unknown ? [null, null] : $contacts[$k % count($contacts)];
            $line = [
                'second' => round(max(0.0, $at + (2.0 * $this->share("jitter {$k}") - 1.0) * $this->jitter / $this->perSecond), 3),
                'side' => $side,
                'surface' => $surface,
                'id' => Uuid::of("{$this->seed} touch {$k}"),
            ];
            $place = $k + ($this->share("late {$k}") < $this->late ? 10.5 : 0.0);
            $sent[] = [$place, $line];
            if ($this->share("doubled {$k}") < $this->doubled) {
                $sent[] = [$place + 1.25, $line];
            }
        }
        usort($sent, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_column($sent, 1);
    }

    /**
     * @param  list<Item>  $items
     * @return list<array{string|null, string|null}> side and surface of each touch of one rep; what is repeated openly is done once
     */
    private static function contacts(array $items): array
    {
        $contacts = [];
        foreach ($items as $item) {
            if ($item instanceof Group) {
                $inside = self::contacts($item->items);
                $contacts = array_merge($contacts, ...array_fill(0, max(1, $item->least), $inside));
            } elseif ($item instanceof Contact) {
                $side = match ($item->foot) {
                    FootMark::Right => 'R',
                    FootMark::Left => 'L',
                    default => null,
                };
                $contacts[] = [$side, $item->surface === Surface::Unknown ? null : $item->surface->value];
            }
        }

        return $contacts;
    }

    private function share(string $what): float
    {
        return Draw::share($this->seed, $what);
    }
}
