<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Player;
use App\Models\RecordLine;
use App\Models\Squad;
use App\OpenApi\Shape;
use App\Queries\Board;
use FleetSparrow\Core\Progress\LineStory;
use FleetSparrow\Core\Shared\CalendarDate;

/** Players by record lines, each cell the latest number against the player's own past. */
#[Shape('BoardCell', [
    'on' => 'date', 'best' => 'number', 'record' => 'LineRecord?', 'trend' => 'string', 'words' => 'string', 'isStale' => 'bool',
    'isStuck' => 'bool', 'isFresh' => 'bool', 'openTries' => 'int',
])]
#[Shape('BoardPlayer', ['came' => 'int', 'of' => 'int'], extends: 'Player')]
#[Shape('SquadBoard', [
    'id' => 'int', 'name' => 'string', 'ageGroup' => 'string', 'today' => 'date', 'endedSeasons' => 'EndedSeason[]',
    'season' => 'SeasonDays', 'players' => 'BoardPlayer[]', 'lines' => 'Line[]', 'cells' => 'BoardCell{}{}',
])]
final class BoardResource
{
    /** @return array{cells: array<int, array<string, mixed>>, ...} plain, so that it can be kept */
    public static function of(Board $board, Squad $squad): array
    {
        $lines = array_map(
            fn (RecordLine $line): array => LineResource::line($line, $squad->length_unit),
            array_values($board->lines),
        );
        $place = fn (array $line): array => [$line['drillName'], $line['window'], $line['side']];
        usort($lines, fn (array $a, array $b): int => $place($a) <=> $place($b));

        return [
            'season' => PlayerSeasonResource::season($board->span),
            'players' => $squad->players->map(fn (Player $player): array => PlayerResource::of($player)
                + ($board->attendance[$player->id] ?? ['came' => 0, 'of' => 0]))->all(),
            'lines' => $lines,
            'cells' => self::byPlayer($board->cells),
        ];
    }

    /**
     * @param  array<string, array<int, array<string, mixed>>>  $cells  line key → player → cell
     * @return array<int, array<string, array<string, mixed>>> player → line key → cell
     */
    private static function byPlayer(array $cells): array
    {
        $own = [];
        foreach ($cells as $key => $players) {
            foreach ($players as $playerId => $cell) {
                $own[$playerId][$key] = $cell;
            }
        }

        return $own;
    }

    /**
     * Maps stay maps where they are empty.
     *
     * @param  array{cells: array<int, array<string, mixed>>, ...}  $kept
     * @return array<array-key, mixed>
     */
    public static function said(array $kept): array
    {
        return ['cells' => (object) array_map(fn (array $own): object => (object) $own, $kept['cells'])] + $kept;
    }

    /** @return array<string, mixed>|null null where nothing valid stands yet */
    public static function cell(LineStory $story, CalendarDate $today): ?array
    {
        [$last, $record] = [$story->line->lastDay(), $story->line->recordDay()];

        return $last === null ? null : [
            'on' => $last->on->iso(),
            'best' => $last->best,
            'record' => $record === null ? null : ['on' => $record->on->iso(), 'value' => $record->best],
            'trend' => $story->verdict->trend->value,
            'words' => $story->verdict->trend->words(),
            'isStale' => $story->isStale($today),
            'isStuck' => $story->still !== null,
            'isFresh' => $story->isFresh(),
            'openTries' => array_sum($story->line->openTries),
        ];
    }
}
