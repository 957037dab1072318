<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\OpenApi\Description;
use Illuminate\Console\Command;

class WriteOpenApi extends Command
{
    protected $signature = 'sparrow:openapi';

    protected $description = 'Write docs/openapi.json and the schemas of the open formats from the code';

    public function handle(): int
    {
        foreach (Description::files() as $file => $content) {
            file_put_contents(base_path($file), $content);
            $this->info($file);
        }

        return self::SUCCESS;
    }
}
