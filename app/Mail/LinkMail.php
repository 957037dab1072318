<?php

declare(strict_types=1);

namespace App\Mail;

use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** A link with a sentence before it; plain text. */
final class LinkMail extends Mailable
{
    public function __construct(private readonly string $about, public readonly string $sentence, public readonly string $link)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: $this->about);
    }

    public function content(): Content
    {
        return new Content(text: 'mail.link');
    }
}
