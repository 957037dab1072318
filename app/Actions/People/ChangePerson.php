<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Auth\AuditTrail;
use App\Auth\SignInDesk;
use App\Models\Squad;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Gives somebody other squads and roles, or takes them off the staff. The club always keeps a lead. */
final class ChangePerson
{
    public function __construct(private readonly SignInDesk $desk, private readonly AuditTrail $trail)
    {
    }

    /** @param  array<int, string>  $roles squad id → role */
    public function change(User $person, bool $isLead, array $roles, User $by): User
    {
        return DB::transaction(function () use ($person, $isLead, $roles, $by): User {
            $this->keepALead($person, $isLead);
            $before = self::words($person);
            $person->update(['is_lead' => $isLead]);
            $person->squads()->sync(array_map(fn (string $role): array => ['role' => $role, 'club_id' => $person->club_id], $roles));

            $person->refresh();
            if (self::words($person) !== $before) {
                $this->trail->noteOf($by, 'staff.changed', $person->name, changes: ['role' => [$before, self::words($person)]]);
            }

            return $person;
        });
    }

    /** The marks they wrote stay; who wrote them is forgotten. */
    public function remove(User $person, User $by): void
    {
        DB::transaction(function () use ($person, $by): void {
            $this->keepALead($person, false);
            $this->desk->endAll($person);
            $this->trail->noteOf($by, 'staff.removed', $person->name, changes: ['role' => [self::words($person), '']]);
            $person->delete();
        });
    }

    /** What somebody is, in one line. */
    private static function words(User $person): string
    {
        $roles = $person->squads()
            ->orderBy('squads.id')
            ->get()
            ->map(fn (Squad $squad): string => "{$squad->getRelation('pivot')->getAttribute('role')} of {$squad->name}")
            ->all();

        return implode(', ', [...($person->is_lead ? ['club lead'] : []), ...$roles]);
    }

    private function keepALead(User $person, bool $isLead): void
    {
        $others = User::query()
            ->where('club_id', $person->club_id)
            ->where('is_lead', true)
            ->whereKeyNot($person->id)
            ->lockForUpdate()
            ->exists();
        if (! $isLead && $person->is_lead && ! $others) {
            throw ValidationException::withMessages(['isLead' => 'The club needs a lead. Make somebody else lead first.']);
        }
    }
}
