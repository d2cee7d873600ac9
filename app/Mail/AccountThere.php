<?php

declare(strict_types=1);

namespace App\Mail;

use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** To someone who signs up with an address that has an account. */
final class AccountThere extends Mailable
{
    public function envelope(): Envelope
    {
        return new Envelope(subject: 'You have an account at Embrel');
    }

    public function content(): Content
    {
        return new Content(text: 'mail.account-there');
    }
}
