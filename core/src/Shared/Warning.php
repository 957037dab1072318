<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/** Something a coach should know before the whistle, and the cheapest cure where there is one. */
final readonly class Warning
{
    /**
     * @param  string  $code  what it is about: heading, heat, load, weaker-striking, water, wait, kit, room, server, queue
     * @param  bool  $isBarred  whether the profile the squad follows forbids it; only with a reason, which is kept, may it stand
     */
    public function __construct(public string $sentence, public ?Cure $cure = null, public string $code = '', public bool $isBarred = false)
    {
    }
}
