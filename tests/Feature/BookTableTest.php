<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use Tests\TestCase;

final class BookTableTest extends TestCase
{
    public function test_the_table_in_the_docs_is_what_the_command_prints(): void
    {
        self::assertSame(0, Artisan::call('sparrow:table'));
        self::assertSame(
            file_get_contents(base_path('docs/book.md')),
            Artisan::output(),
            'php artisan sparrow:table > docs/book.md',
        );
    }
}
