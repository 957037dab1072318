<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

use FleetSparrow\Core\Exception\InvalidRecord;

/**
 * A published protocol whose score is a time with penalties: seconds for each fault, seconds for going over a limit, and seconds
 * back for what was done well.
 */
final readonly class Protocol
{
    /**
     * @param  list<Penalty>  $penalties
     * @param  float|null  $limitSeconds  null where going slowly costs nothing of itself
     * @param  float  $perSecondOver  for each second over the limit
     * @param  bool  $countsPartSeconds  whether a part of a second over counts in proportion (default: only whole ones)
     */
    private function __construct(
        public array $penalties,
        public ?float $limitSeconds,
        public float $perSecondOver,
        public bool $countsPartSeconds,
    ) {
    }

    /**
     * @param  list<Penalty>  $penalties
     *
     * @throws InvalidRecord If there is no penalty, two share a slug, or a figure is outside its range.
     */
    public static function of(array $penalties, ?float $limitSeconds, float $perSecondOver, bool $countsPartSeconds): self
    {
        $slugs = array_column($penalties, 'slug');
        if ($penalties === [] || count($slugs) !== count(array_unique($slugs)) || in_array('', $slugs, true)) {
            throw InvalidRecord::at('penalties', 'A protocol needs penalties, each with a name of its own.');
        }
        foreach ($penalties as $penalty) {
            if (! is_finite($penalty->seconds) || abs($penalty->seconds) > 60.0) {
                throw InvalidRecord::at('penalties', 'A penalty is at most 60 seconds.');
            }
        }
        if (
            $limitSeconds !== null
            && ! ($limitSeconds > 0.0 && $limitSeconds <= 3600.0)
            || ! ($perSecondOver >= 0.0 && $perSecondOver <= 60.0)
        ) {
            throw InvalidRecord::at('limit', 'The limit must be a time up to an hour, and a second over cost at most 60.');
        }

        return new self($penalties, $limitSeconds, $perSecondOver, $countsPartSeconds);
    }

    /**
     * Time taken, plus every penalty, plus what going over the limit costs.
     *
     * @param  array<string, int>  $counts  penalty slug → how often; what is left out is nought
     *
     * @throws InvalidRecord If the time is no time, or a count is negative or names no penalty.
     */
    public function score(float $seconds, array $counts): ProtocolScore
    {
        if (! ($seconds > 0.0 && $seconds <= 3600.0)) {
            throw InvalidRecord::at('seconds', 'The time must be over 0 and at most 3600 seconds.');
        }
        $lines = [];
        $sum = 0.0;
        foreach ($this->penalties as $penalty) {
            $count = $counts[$penalty->slug] ?? 0;
            unset($counts[$penalty->slug]);
            if ($count < 0 || $count > 99) {
                throw InvalidRecord::at("counts.{$penalty->slug}", 'Count from 0 to 99.');
            }
            if ($count > 0) {
                $sum += $count * $penalty->seconds;
                $lines[] = sprintf('%s: %d × %g s = %g s', $penalty->words, $count, $penalty->seconds, $count * $penalty->seconds);
            }
        }
        if ($counts !== []) {
            throw InvalidRecord::at('counts', sprintf('"%s" is no penalty of this protocol.', array_key_first($counts)));
        }
        $over = $this->overSeconds($seconds);
        if ($over > 0.0) {
            $sum += $over * $this->perSecondOver;
            $lines[] = sprintf(
                'Over %g s: %g × %g s = %g s',
                $this->limitSeconds ?? 0.0,
                $over,
                $this->perSecondOver,
                $over * $this->perSecondOver,
            );
        }

        return new ProtocolScore($seconds, $sum, $lines);
    }

    /** @return array<string, mixed> */
    public function fields(): array
    {
        return [
            'penalties' => array_map(
                static fn (Penalty $one): array => ['slug' => $one->slug, 'seconds' => $one->seconds],
                $this->penalties,
            ),
            'limitSeconds' => $this->limitSeconds,
            'perSecondOver' => $this->perSecondOver,
            'countsPartSeconds' => $this->countsPartSeconds,
        ];
    }

    private function overSeconds(float $seconds): float
    {
        $over = $this->limitSeconds === null ? 0.0 : max(0.0, $seconds - $this->limitSeconds);

        return $this->countsPartSeconds ? $over : floor($over + 1e-9);
    }
}
