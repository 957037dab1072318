<?php

declare(strict_types=1);

use App\Models\Squad;
use FleetSparrow\Core\Record\Task;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Lines are named by their task with its fields sorted, its numbers whole and the size of the ball in it, no longer by how the code
 * happened to write it. Every number keeps its line: under the new name, for the ball of its squad. Former names are kept, since a
 * phone may still hold numbers under them.
 */
return new class extends Migration
{
    private const TABLES = ['marks', 'line_days', 'bests'];

    public function up(): void
    {
        Schema::table('squads', fn (Blueprint $table) => $table->string('ball_size', 8)->default('by-age'));
        Schema::create('former_lines', function (Blueprint $table): void {
            $table->char('former_key', 32);
            $table->unsignedTinyInteger('ball_size');
            $table->char('line_key', 32);
            $table->json('task');
            $table->primary(['former_key', 'ball_size']);
            $table->foreign('line_key')->references('line_key')->on('record_lines')->cascadeOnDelete();
        });
        $bySize = [];
        foreach (Squad::query()->withoutGlobalScopes()->get(['id', 'age_group', 'ball_size']) as $squad) {
            $bySize[$squad->ballSize()][] = $squad->id;
        }
        $lines = DB::table('record_lines')->get();
        foreach ($lines as $line) {
            foreach ($bySize as $size => $squadIds) {
                $this->rename($line, $size, $squadIds);
            }
        }
        DB::table('record_lines')->whereIn('line_key', $lines->pluck('line_key'))
            ->whereNotIn('line_key', DB::table('former_lines')->select('line_key'))->delete();
    }

    public function down(): void
    {
        foreach (DB::table('former_lines')->orderBy('ball_size')->get() as $former) {
            $line = (array) DB::table('record_lines')->where('line_key', $former->line_key)->first();
            DB::table('record_lines')->insertOrIgnore(['line_key' => $former->former_key, 'task' => $former->task] + $line);
            foreach (self::TABLES as $table) {
                DB::table($table)->where('line_key', $former->line_key)->update(['line_key' => $former->former_key]);
            }
        }
        DB::table('record_lines')->whereIn('line_key', DB::table('former_lines')->select('line_key'))
            ->whereNotIn('line_key', DB::table('former_lines')->select('former_key'))
            ->whereNotIn('line_key', DB::table('marks')->select('line_key'))->delete();
        Schema::drop('former_lines');
        Schema::table('squads', fn (Blueprint $table) => $table->dropColumn('ball_size'));
    }

    /** @param  list<int>  $squadIds  that play with this ball */
    private function rename(stdClass $line, int $size, array $squadIds): void
    {
        /** @var array<string, mixed> $fields */
        $fields = json_decode((string) $line->task, true, flags: JSON_THROW_ON_ERROR);
        $task = Task::ofFields(self::withItems($fields), $size);
        DB::table('record_lines')->insertOrIgnore(
            ['line_key' => $task->key, 'task' => json_encode($task->fields, JSON_THROW_ON_ERROR)] + (array) $line,
        );
        DB::table('former_lines')->insertOrIgnore(
            ['former_key' => $line->line_key, 'ball_size' => $size, 'line_key' => $task->key, 'task' => $line->task],
        );
        $names = DB::table('club_line_names')->where('line_key', $line->line_key)->get();
        DB::table('club_line_names')->insertOrIgnore(
            $names->map(fn (stdClass $name): array => ['line_key' => $task->key] + (array) $name)->all(),
        );
        $players = DB::table('players')->whereIn('squad_id', $squadIds)->select('id');
        foreach (self::TABLES as $table) {
            DB::table($table)->where('line_key', $line->line_key)->whereIn('player_id', $players)->update(['line_key' => $task->key]);
        }
    }

    /**
     * A circuit's items were one text: script, dose and rest of each, with semicolons between.
     *
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    private static function withItems(array $fields): array
    {
        $window = $fields['window'] ?? null;
        if (! is_array($window) || ! is_string($window['items'] ?? null)) {
            return $fields;
        }
        $items = array_map(static function (string $item): array {
            preg_match('/\A(.*) (\{.*\}) ([\d.]+)\z/s', $item, $parts);

            return [
                'script' => $parts[1] ?? $item,
                'dose' => json_decode($parts[2] ?? '{}', true, flags: JSON_THROW_ON_ERROR),
                'restSeconds' => (float) ($parts[3] ?? 0.0),
            ];
        }, explode('; ', $window['items']));

        return ['window' => ['items' => $items] + $window] + $fields;
    }
};
