<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\Artisan;

final class WithTheBook extends Seeder
{
    public function run(): void
    {
        Artisan::call('sparrow:book');
    }
}
