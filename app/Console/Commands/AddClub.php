<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Auth\EmailAddress;
use App\Auth\Links;
use App\Models\Club;
use App\Models\Invitation;
use App\Tenancy\ClubContext;
use App\Tenancy\Role;
use DateTimeZone;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** The first door of a new club: everybody else is invited from inside. */
class AddClub extends Command
{
    protected $signature = 'sparrow:club
        {name : What the club is called}
        {email : The address of its first lead}
        {--zone=UTC : Its time zone, such as Europe/Copenhagen}';

    protected $description = 'Add a club, and make the link with which its first lead comes in';

    public function handle(ClubContext $context): int
    {
        [$name, $email, $zone] = array_map(
            fn (mixed $word): string => is_string($word) ? trim($word) : '',
            [$this->argument('name'), $this->argument('email'), $this->option('zone')],
        );
        $email = EmailAddress::canonical($email);
        $fault = match (true) {
            $name === '' || mb_strlen($name) > 120 => 'The name must have 1 to 120 letters.',
            filter_var($email, FILTER_VALIDATE_EMAIL) === false => "\"{$email}\" is not an e-mail address.",
            ! in_array($zone, DateTimeZone::listIdentifiers(), true) => "\"{$zone}\" is not a time zone such as Europe/Copenhagen.",
            DB::table('users')->where('email', $email)->exists() => 'This address has an account at a club already.',
            default => null,
        };
        if ($fault !== null) {
            $this->error($fault);

            return self::FAILURE;
        }
        $token = Str::random(40);
        DB::transaction(function () use ($context, $name, $email, $zone, $token): void {
            $context->actFor(Club::query()->create(['name' => $name, 'time_zone' => $zone])->id);
            Invitation::query()->create(
                [
                    'role' => Role::Lead,
                    'email' => $email,
                    'token_hash' => hash('sha256', $token),
                    'expires_at_utc' => now('UTC')->addDays(Invitation::DAYS),
                ],
            );
        });
        $context->leave();
        $this->info("{$name} is there. Its first lead comes in by this link, within ".Invitation::DAYS.' days:');
        $this->line(Links::mailed(Links::invitation($token)));

        return self::SUCCESS;
    }
}
