<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Touch\Script;

/**
 * Names a record line: a hash of the fields that make the task, and of nothing else.
 *
 * Mending a name or a coaching point keeps the key; another spacing, window, rule, side or service changes it.
 */
final readonly class RecordLineKey
{
    /** @param  array<string, mixed>  $task the canonical fields, for answering "how do you know?" */
    private function __construct(public string $value, public array $task)
    {
    }

    /** @param  array<string, mixed>  $demands  how the ball comes and which, touches allowed, what is called */
    public static function of(Script $script, Layout $layout, Dose $dose, ScoringRule $rule, Side $side, array $demands): self
    {
        $task = [
            'script' => $script->text(),
            'layout' => ['kind' => $layout->kind()] + $layout->parameters(),
            'window' => $dose->window(),
            'rule' => $rule->fields(),
            'side' => $side->value,
        ] + $demands;

        $text = json_encode($task, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);

        return new self(substr(hash('sha256', $text), 0, 32), $task);
    }
}
