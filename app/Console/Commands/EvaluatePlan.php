<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Exchange\Export\EvaluationJson;
use App\Exchange\Import\BookFiles;
use App\Exchange\Import\PlanFile;
use FleetSparrow\Core\Exception\CoreException;
use Illuminate\Console\Command;
use Illuminate\Validation\ValidationException;

class EvaluatePlan extends Command
{
    use ReadsFiles;

    protected $signature = 'sparrow:evaluate {file : A fleet-sparrow/plan file, or - for standard input}';

    protected $description = 'Work a plan file out, without a database, and print the evaluation as JSON';

    public function handle(): int
    {
        try {
            $plan = PlanFile::read($this->text(), BookFiles::drills(base_path('book')));

            $name = ['format' => 'fleet-sparrow/evaluation', 'version' => EvaluationJson::VERSION];

            return $this->printed($name + EvaluationJson::of($plan->evaluate(), $plan->slotMinutes));
        } catch (ValidationException $refusal) {
            return $this->refused($refusal->errors());
        } catch (CoreException $refusal) {
            return $this->refused([$refusal->path() === '' ? $refusal->reason() : $refusal->path() => [$refusal->getMessage()]]);
        }
    }
}
