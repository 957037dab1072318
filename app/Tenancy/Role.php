<?php

declare(strict_types=1);

namespace App\Tenancy;

/** What somebody is to a squad. A lead is one to every squad of the club. */
enum Role: string
{
    case Lead = 'lead';
    case Coach = 'coach';
    case Assistant = 'assistant';

    public function may(Ability $ability): bool
    {
        return match ($ability) {
            Ability::View, Ability::Run => true,
            Ability::Plan, Ability::Notes, Ability::Settings => $this !== self::Assistant,
            Ability::Manage => $this === self::Lead,
        };
    }
}
