<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\TouchLimit;

/** What a drill asks of a player beside its script, each in a field of its own. */
final readonly class Demands
{
    /**
     * @param  list<string>  $targetRoles  what each numbered target is in the game, in order
     * @param  list<string>  $needs  slugs of moves that must be there first
     * @param  AgeGroup  $fromAge  the youngest group it is meant for
     * @param  list<LevelFactor>  $levels
     * @param  Opposition  $opposition  who stands in the way
     * @param  bool  $keepsTheme  whether the closing game keeps the session's touch rule
     */
    public function __construct(
        public ?TouchLimit $touches,
        public SideSetBy $sideSetBy,
        public Ball $ball,
        public ?Calling $calling,
        public array $targetRoles,
        public TargetNaming $targetNaming,
        public array $needs,
        public AgeGroup $fromAge,
        public array $levels,
        public Opposition $opposition,
        public bool $keepsTheme,
    ) {
    }

    /**
     * What of it makes the task, so that marks compare like with like.
     *
     * @return array<string, mixed>
     */
    public function task(): array
    {
        return [
            'touches' => $this->touches?->fields(),
            'ball' => $this->ball->value,
            'opposition' => $this->opposition->value,
            'calling' => $this->calling === null ? null : [
                $this->calling->kind->value, $this->calling->inOrder, $this->calling->twoWay,
                // A call with a command is another task; one without keeps its line.
                ...($this->calling->commands === [] ? [] : [$this->calling->commands]),
            ],
        ];
    }
}
