<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Advice\CutKind;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Plan\Block;

/** The dose of a block with a rest two thirds as long, or with one set fewer. */
final class Shorter
{
    /** Null where it cannot be cut so. */
    public static function dose(Block $block, CutKind $kind): ?Dose
    {
        if ($block->drill === null || $block->dose === null) {
            return null;
        }
        $fields = $block->dose->fields();
        $rest = 5.0 * floor($block->dose->restSeconds() * 2 / 3 / 5);
        $shorter = match (true) {
            $kind === CutKind::Rest => $block->dose->restSeconds() >= 15.0 && $rest >= 5.0 ? ['restSeconds' => $rest] + $fields : null,
            is_int($fields['sets'] ?? null) && $fields['sets'] > 1 => ['sets' => $fields['sets'] - 1] + $fields,
            default => null,
        };
        try {
            return $shorter === null ? null : $block->drill->doseFrom($shorter);
        } catch (InvalidDose) {
            return null;
        }
    }
}
