<?php

declare(strict_types=1);

namespace App\Actions\Record;

use Illuminate\Support\Facades\DB;

/**
 * Which mark supersedes which, as far as it matters to a batch: two that supersede each other, straight or round about, would
 * both be gone.
 */
final class Corrections
{
    /** Far longer than anybody mends one number; a chain that is made to be longer is refused. */
    private const LONGEST_CHAIN = 100;

    /** @param  array<string, list<string>>  $supersedes  uuid → those it supersedes */
    private function __construct(private array $supersedes)
    {
    }

    /** @param  list<array<string, mixed>>  $items */
    public static function of(array $items): self
    {
        $known = [];
        $asked = [];
        foreach ($items as $item) {
            $uuids = $item['supersedesUuids'] ?? [];
            $asked = [...$asked, ...(is_array($uuids) ? array_values(array_filter($uuids, MarkFields::isUuid(...))) : [])];
        }
        for ($step = 0; $asked !== [] && $step < self::LONGEST_CHAIN; $step++) {
            $next = [];
            foreach (DB::table('mark_supersessions')->whereIn(
                'mark_uuid',
                array_values(array_unique($asked)),
            )->get(['mark_uuid', 'superseded_uuid']) as $row) {
                $known[(string) $row->mark_uuid][] = (string) $row->superseded_uuid;
                $next[] = (string) $row->superseded_uuid;
            }
            $asked = array_values(array_filter($next, fn (string $uuid): bool => ! isset($known[$uuid])));
        }

        return new self($known);
    }

    /**
     * @param  list<string>  $uuids  those that a mark supersedes
     *
     * @throws MarkRefused If one of them supersedes it already.
     */
    public function take(string $uuid, array $uuids): void
    {
        $reached = [];
        $ahead = $uuids;
        while (($one = array_pop($ahead)) !== null) {
            if ($one === $uuid) {
                throw new MarkRefused('supersedes-cycle', 'Two numbers cannot each stand in for the other.');
            }
            if (! isset($reached[$one])) {
                $reached[$one] = true;
                array_push($ahead, ...($this->supersedes[$one] ?? []));
            }
        }
        if ($uuids !== []) {
            $this->supersedes[$uuid] = $uuids;
        }
    }
}
