<?php

declare(strict_types=1);

use App\Actions\Record\ProjectMarks;
use App\Tenancy\ClubContext;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Works out the days of all lines anew: with them goes what their tries add up to. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (DB::table('clubs')->pluck('id') as $id) {
            app(ClubContext::class)->actFor((int) $id);
            app(ProjectMarks::class)->rebuild((int) $id);
        }
        app(ClubContext::class)->leave();
    }

    public function down(): void
    {
    }
};
