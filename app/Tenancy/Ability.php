<?php

declare(strict_types=1);

namespace App\Tenancy;

/** What somebody on the staff may do; docs/roles.md shows who may, and a test holds the two together. */
enum Ability: string
{
    case View = 'view';
    case Run = 'run';
    case Plan = 'plan';
    case Notes = 'notes';
    case Settings = 'settings';
    case Manage = 'manage';

    /** What it covers, in the words of docs/roles.md. */
    public function covers(): string
    {
        return match ($this) {
            self::View => 'See the squad, its plans and its numbers',
            self::Run => 'Run a session, say who came, write numbers down',
            self::Plan => 'Plan sessions, add and change players',
            self::Notes => 'Read and write private notes, see who changed what, erase a player',
            self::Settings => 'Choose the squad\'s settings',
            self::Manage => 'Invite and remove staff, hand over reset links, add squads, choose the club\'s settings',
        };
    }

    /** What is said to somebody of the squad who may not. */
    public function refusal(): string
    {
        return $this === self::Manage ? 'Only the club lead can do this.' : 'Only the squad\'s coach or the club lead can do this.';
    }
}
