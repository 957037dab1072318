<?php

declare(strict_types=1);

namespace App\Auth;

use App\Mail\LinkMail;
use Illuminate\Contracts\Mail\Mailer;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\Log;
use Throwable;

/** Sends a link by mail where mail has been set up. Without it, whoever made the link hands it over. */
final class LinkPost
{
    public function __construct(private readonly Mailer $mailer)
    {
    }

    public static function isSetUp(): bool
    {
        return Config::string('mail.default') !== 'off';
    }

    /** @return bool whether it was sent */
    public function send(string $email, LinkMail $mail): bool
    {
        if (! self::isSetUp()) {
            return false;
        }
        try {
            $this->mailer->to($email)->send($mail);

            return true;
        } catch (Throwable $fault) {
            // Neither address nor link: both would let a reader of the log in.
            Log::warning('A mail could not be sent.', ['fault' => $fault::class]);

            return false;
        }
    }
}
