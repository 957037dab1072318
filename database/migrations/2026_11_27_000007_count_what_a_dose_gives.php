<?php

declare(strict_types=1);

use App\Actions\Record\ProjectMarks;
use App\Tenancy\ClubContext;
use FleetSparrow\Core\Record\Task;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A block says which number it asks for; numbers are kept in hundredths, as they are typed. A goal that ends a run and a cap on the
 * balls to a first hit no longer make a line: numbers of lines that differed in nothing else come together.
 */
return new class extends Migration
{
    private const BALLS = [3, 4, 5];

    public function up(): void
    {
        Schema::table('session_blocks', fn (Blueprint $table) => $table->string('counted', 40)->nullable());
        Schema::table('marks', fn (Blueprint $table) => $table->decimal('value', 8, 2)->change());
        Schema::table('line_days', fn (Blueprint $table) => $table->decimal('best', 8, 2)->nullable()->change());
        Schema::table('bests', fn (Blueprint $table) => $table->decimal('value', 8, 2)->change());
        foreach (DB::table('record_lines')->get() as $line) {
            $this->uncap($line);
        }
    }

    /** Lines get their goal back; of two that came together one has the numbers of both. */
    public function down(): void
    {
        foreach (DB::table('former_lines')->get() as $former) {
            /** @var array<string, mixed> $fields */
            $fields = json_decode((string) $former->task, true, flags: JSON_THROW_ON_ERROR);
            $line = DB::table('record_lines')->where('line_key', $former->line_key)->first();
            // Only names as this version's fields make them are of this step.
            if ($line === null || Task::ofFields($fields, (int) $former->ball_size)->key !== $former->former_key) {
                continue;
            }
            DB::table('record_lines')->insertOrIgnore(['line_key' => $former->former_key, 'task' => $former->task] + (array) $line);
            DB::table('former_lines')->where('former_key', $former->former_key)->delete();
            foreach (['marks', 'line_days', 'bests', 'former_lines'] as $table) {
                DB::table($table)->where('line_key', $former->line_key)->update(['line_key' => $former->former_key]);
            }
            DB::table('record_lines')->where('line_key', $former->line_key)->delete();
        }
        Schema::table('session_blocks', fn (Blueprint $table) => $table->dropColumn('counted'));
        Schema::table('marks', fn (Blueprint $table) => $table->decimal('value', 7, 1)->change());
        Schema::table('line_days', fn (Blueprint $table) => $table->decimal('best', 7, 1)->nullable()->change());
        Schema::table('bests', fn (Blueprint $table) => $table->decimal('value', 7, 1)->change());
    }

    private function uncap(stdClass $line): void
    {
        /** @var array{window: array<string, mixed>, ball?: string}&array<string, mixed> $fields */
        $fields = json_decode((string) $line->task, true, flags: JSON_THROW_ON_ERROR);
        $window = $fields['window'];
        $cap = match (true) {
            ($window['kind'] ?? null) === 'streak' => 'goal',
            ($window['kind'] ?? null) === 'tries' && ($window['untilHit'] ?? 0) === 1 => 'balls',
            default => null,
        };
        if ($cap === null || ! array_key_exists($cap, $window)) {
            return;
        }
        unset($fields['window'][$cap]);
        $size = (int) preg_replace('/\D/', '', $fields['ball'] ?? '');
        // Another ball than the squad's own is named as it is; the size then changes nothing.
        $task = Task::ofFields($fields, in_array($size, self::BALLS, true) ? $size : 4);
        DB::table('record_lines')->insertOrIgnore(
            ['line_key' => $task->key, 'task' => json_encode($task->fields, JSON_THROW_ON_ERROR)] + (array) $line,
        );
        DB::table('former_lines')->where('line_key', $line->line_key)->update(['line_key' => $task->key]);
        foreach (in_array($size, self::BALLS, true) ? [$size] : self::BALLS as $ball) {
            DB::table('former_lines')->insertOrIgnore(
                ['former_key' => $line->line_key, 'ball_size' => $ball, 'line_key' => $task->key, 'task' => $line->task],
            );
        }
        $names = DB::table('club_line_names')->where('line_key', $line->line_key)->get();
        DB::table('club_line_names')->insertOrIgnore(
            $names->map(fn (stdClass $name): array => ['line_key' => $task->key] + (array) $name)->all(),
        );
        $players = DB::table('marks')->join('players', 'players.id', '=', 'marks.player_id')->where('line_key', $line->line_key)
            ->distinct()->get(['players.id', 'players.club_id'])->groupBy('club_id');
        DB::table('marks')->where('line_key', $line->line_key)->update(['line_key' => $task->key]);
        foreach (['line_days', 'bests', 'record_lines'] as $table) {
            DB::table($table)->where('line_key', $line->line_key)->delete();
        }
        foreach ($players as $clubId => $some) {
            app(ClubContext::class)->actFor((int) $clubId);
            app(ProjectMarks::class)->of(array_values(array_map(intval(...), $some->pluck('id')->all())), [$task->key]);
        }
        app(ClubContext::class)->leave();
    }
};
