<?php

declare(strict_types=1);

/*
 * Says what the core makes of some numbers, as JSON on standard output: for the libraries of another language to be held against.
 * Standard input: {"t": [[t, degrees] …], "q": [[probability, degrees] …], "lines": [[values] …], "hits": [[hits, attempts] …]}.
 */

use FleetSparrow\Core\Progress\TypicalError;
use FleetSparrow\Core\Statistics\Median;
use FleetSparrow\Core\Statistics\NormalDistribution;
use FleetSparrow\Core\Statistics\ShareInterval;
use FleetSparrow\Core\Statistics\StudentT;

require __DIR__.'/../../vendor/autoload.php';

/**
 * @var array{t: list<array{int|float, int}>, q: list<array{int|float, int}>, lines: list<list<int|float>>,
 *     hits: list<array{int, int}>} $asked
 */
$asked = json_decode((string) file_get_contents('php://stdin'), true, flags: JSON_THROW_ON_ERROR);
$floats = static fn (array $values): array => array_values(array_map(floatval(...), $values));
echo json_encode([
    't' => array_map(static fn (array $one): float => StudentT::cdf(...$floats($one)), $asked['t']),
    'q' => array_map(static fn (array $one): float => StudentT::quantile(...$floats($one)), $asked['q']),
    'normal' => array_map(static fn (array $one): float => NormalDistribution::quantile((float) $one[0]), $asked['q']),
    'error' => array_map(static fn (array $values): ?float => TypicalError::of($floats($values))->value(), $asked['lines']),
    'median' => array_map(static fn (array $values): float => Median::of($floats($values)), $asked['lines']),
    'high' => array_map(static fn (array $one): float => ShareInterval::of(...$one)->high, $asked['hits']),
], JSON_THROW_ON_ERROR);
