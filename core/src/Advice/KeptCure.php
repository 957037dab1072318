<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Advice;

use FleetSparrow\Core\Shared\Cure;
use FleetSparrow\Core\Shared\CureKind;
use FleetSparrow\Core\Shared\Keepable;

/** The cure that was found to help, or that none did, kept for the next plan: trying them is dear. */
final readonly class KeptCure implements Keepable
{
    public function __construct(public ?Cure $cure)
    {
    }

    public function packed(): string
    {
        return json_encode($this->cure, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }

    public static function unpacked(string $bytes): self
    {
        /** @var array{kind: string, words: string, stations: int|null, dose: array<string, int|float|string>|null}|null $kept */
        $kept = json_decode($bytes, true, 8, JSON_THROW_ON_ERROR);

        return new self($kept === null ? null : Cure::of(CureKind::from($kept['kind']), $kept['words'], $kept['stations'], $kept['dose']));
    }
}
