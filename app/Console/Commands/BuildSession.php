<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Exchange\Export\ProposalsJson;
use App\Exchange\Import\BookFiles;
use App\Exchange\Import\BuildRequestFile;
use FleetSparrow\Core\Builder\SessionBuilder;
use FleetSparrow\Core\Exception\CoreException;
use Illuminate\Console\Command;
use Illuminate\Validation\ValidationException;

class BuildSession extends Command
{
    use ReadsFiles;

    protected $signature = 'sparrow:build {file : A fleet-sparrow/build-request file, or - for standard input}';

    protected $description = 'Propose sessions for a request file, without a database, and print them as JSON';

    public function handle(): int
    {
        try {
            $request = BuildRequestFile::read($this->text(), BookFiles::drills(base_path('book')));

            $name = ['format' => 'fleet-sparrow/proposals', 'version' => ProposalsJson::VERSION];

            return $this->printed($name + ProposalsJson::of(SessionBuilder::propose($request)));
        } catch (ValidationException $refusal) {
            return $this->refused($refusal->errors());
        } catch (CoreException $refusal) {
            return $this->refused([$refusal->path() === '' ? $refusal->reason() : $refusal->path() => [$refusal->getMessage()]]);
        }
    }
}
