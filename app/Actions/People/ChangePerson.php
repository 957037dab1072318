<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Models\User;
use App\Support\SignInDesk;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Gives somebody other squads and roles, or takes them off the staff. The club always keeps a lead. */
final class ChangePerson
{
    public function __construct(private readonly SignInDesk $desk)
    {
    }

    /** @param  array<int, string>  $roles squad id → role */
    public function change(User $person, bool $isLead, array $roles): User
    {
        return DB::transaction(function () use ($person, $isLead, $roles): User {
            $this->keepALead($person, $isLead);
            $person->update(['is_lead' => $isLead]);
            $person->squads()->sync(array_map(fn (string $role): array => ['role' => $role, 'club_id' => $person->club_id], $roles));

            return $person->refresh();
        });
    }

    /** The marks they wrote stay; who wrote them is forgotten. */
    public function remove(User $person): void
    {
        DB::transaction(function () use ($person): void {
            $this->keepALead($person, false);
            $this->desk->endAll($person);
            $person->delete();
        });
    }

    private function keepALead(User $person, bool $isLead): void
    {
        $others = User::query()->where('club_id', $person->club_id)->where('is_lead', true)->whereKeyNot($person->id)->lockForUpdate()->exists();
        if (! $isLead && $person->is_lead && ! $others) {
            throw ValidationException::withMessages(['isLead' => 'The club needs a lead. Make somebody else lead first.']);
        }
    }
}
