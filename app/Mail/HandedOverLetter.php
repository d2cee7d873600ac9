<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\Sending;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Address;
use Illuminate\Mail\Mailables\Attachment;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** The letter with which a file of a plan goes to somebody, or a link to it. */
final class HandedOverLetter extends Mailable
{
    /**
     * @param string|null $end  what its link ends with; null: the file is in the letter
     * @param string|null $path of the file
     */
    public function __construct(
        private readonly Sending $sending,
        private readonly string $title,
        private readonly ?string $end,
        private readonly ?string $path,
    ) {}

    public function envelope(): Envelope
    {
        $by = $this->sending->user;
        $title = $this->title === '' ? 'a plan' : "“{$this->title}”";

        return new Envelope(
            replyTo: $by === null ? [] : [new Address($by->email, $by->name)],
            subject: ($by->name ?? 'Someone') . " sends you {$title}",
        );
    }

    public function content(): Content
    {
        return new Content(text: 'mail.handed-over', with: [
            'by' => $this->sending->user->name ?? 'Someone',
            'line' => $this->sending->line,
            'name' => $this->sending->name,
            'link' => $this->end === null ? null : route('sent', $this->end),
            'ends' => $this->sending->ends_at?->format('j F Y'),
        ]);
    }

    /** @return list<Attachment> */
    public function attachments(): array
    {
        return $this->path === null ? [] : [Attachment::fromPath($this->path)->as($this->sending->name)->withMime($this->sending->type)];
    }
}
