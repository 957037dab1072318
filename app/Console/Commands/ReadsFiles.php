<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Validation\ValidationException;

/** A command that reads one file and prints JSON; what is wrong goes to standard error, a path and a sentence a line. */
trait ReadsFiles
{
    /** @throws ValidationException If there is no such file. */
    private function text(): string
    {
        $file = $this->argument('file');
        $path = $file === '-' ? 'php://stdin' : $file;
        if ($file !== '-' && ! is_readable($path)) {
            throw ValidationException::withMessages(['file' => ["There is no file \"{$path}\" to read."]]);
        }

        return (string) file_get_contents($path);
    }

    /** @param  array<string, mixed>  $result */
    private function printed(array $result): int
    {
        $this->output->writeln(
            json_encode($result, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE),
            \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW,
        );

        return self::SUCCESS;
    }

    /** @param  array<string, list<string>>  $faults  path → sentences */
    private function refused(array $faults): int
    {
        foreach ($faults as $path => $sentences) {
            foreach ($sentences as $sentence) {
                $this->getOutput()->getErrorStyle()->writeln("{$path}: {$sentence}");
            }
        }

        return self::FAILURE;
    }
}
