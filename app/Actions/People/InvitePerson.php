<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Auth\AuditTrail;
use App\Auth\LinkPost;
use App\Auth\Links;
use App\Mail\LinkMail;
use App\Models\Invitation;
use App\Models\Squad;
use App\Models\User;
use App\Tenancy\Role;
use Illuminate\Support\Str;

/** Offers somebody a place on the staff. A newer invitation to the same address and squad replaces the older. */
final class InvitePerson
{
    public function __construct(private readonly LinkPost $post, private readonly AuditTrail $trail)
    {
    }

    /** @return array{invitation: Invitation, path: string, mailed: bool} */
    public function invite(User $by, string $email, Role $role, ?Squad $squad): array
    {
        $token = Str::random(40);
        Invitation::query()->tap(Invitation::open(...))->where('email', $email)->where('squad_id', $squad?->id)->delete();
        $invitation = Invitation::query()->create([
            'squad_id' => $squad?->id,
            'role' => $role,
            'email' => $email,
            'token_hash' => hash('sha256', $token),
            'expires_at_utc' => now('UTC')->addDays(Invitation::DAYS),
        ]);
        $this->trail->noteOf($by, 'staff.invited', $email, $squad?->id, ['role' => ['', $role->value]]);
        $mailed = $this->post->send($email, new LinkMail(
            "A place at {$by->club->name}",
            "{$by->name} offers you a place on the staff of {$by->club->name}. The link is good for ".Invitation::DAYS.' days:',
            Links::mailed(Links::invitation($token)),
        ));

        return ['invitation' => $invitation, 'path' => Links::invitation($token), 'mailed' => $mailed];
    }
}
