<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Run;

use FleetSparrow\Core\Exception\InvalidRecord;
use FleetSparrow\Core\Shared\Uuid;
use FleetSparrow\Core\Touch\Surface;

/** One touch as a device saw it: whose, when, with which foot and part of it, as far as it knows. */
final readonly class FeedLine
{
    public const FIELDS = ['id', 'playerId', 'at', 'side', 'surface'];

    private function __construct(
        public string $id,
        public int $playerId,
        public string $at,
        public ?string $side,
        public ?Surface $surface,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $fields  id (UUID), playerId, at (instant), side (R, L or null), surface (in, out … or null)
     *
     * @throws InvalidRecord If a field is missing, of another kind, or unknown.
     */
    public static function fromFields(array $fields): self
    {
        $unknown = array_diff(array_map(strval(...), array_keys($fields)), self::FIELDS);
        $id = $fields['id'] ?? null;
        $surface = $fields['surface'] ?? null;
        $part = is_string($surface) ? Surface::tryFrom($surface) : null;
        $fault = match (true) {
            $unknown !== [] => 'Unknown: '.implode(', ', $unknown).'.',
            ! is_string($id) || ! Uuid::isOne($id) => 'A touch needs an id, a UUID of version 4 or so, in small letters.',
            ! is_int($fields['playerId'] ?? null) => 'A touch needs the number of a player.',
            ! is_string($fields['at'] ?? null) => 'A touch needs its instant, such as 2026-03-12T18:05:07.250Z.',
            ! in_array($fields['side'] ?? null, ['R', 'L', null], true) => 'The side is R, L, or null where it is not known.',
            $surface !== null && ($part === null || $part === Surface::Unknown) => 'The surface is '.implode(', ', self::surfaces())
                .', or null where it is not known.',
            default => null,
        };
        if ($fault !== null) {
            throw InvalidRecord::feed($fault);
        }

        /** @var array{id: string, playerId: int, at: string, side?: string|null} $fields */
        return new self($fields['id'], $fields['playerId'], $fields['at'], $fields['side'] ?? null, $part);
    }

    /** @return list<string> those a device may name */
    private static function surfaces(): array
    {
        return array_values(array_diff(array_column(Surface::cases(), 'value'), [Surface::Unknown->value]));
    }

    /** @return array{id: string, playerId: int, at: string, side: string|null, surface: string|null} */
    public function fields(): array
    {
        return [
            'id' => $this->id,
            'playerId' => $this->playerId,
            'at' => $this->at,
            'side' => $this->side,
            'surface' => $this->surface?->value,
        ];
    }
}
