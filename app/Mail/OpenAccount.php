<?php

declare(strict_types=1);

namespace App\Mail;

use App\Store\SignUps;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** The letter whose link opens an account. */
final class OpenAccount extends Mailable
{
    public function __construct(public readonly string $link) {}

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'Open your account at Embrel');
    }

    public function content(): Content
    {
        return new Content(text: 'mail.open-account', with: ['hours' => SignUps::HOLDS]);
    }
}
