<?php

declare(strict_types=1);

namespace App\Notifications;

use App\Store\Invitations;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeEncrypted;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;

/** The letter that asks someone into a plan. Its link is kept nowhere but in the letter, and while it waits sealed. */
final class Invited extends Notification implements ShouldBeEncrypted, ShouldQueue
{
    use Queueable;

    public function __construct(private readonly string $invitation, private readonly string $token) {}

    /** @return list<string> */
    public function via(): array
    {
        return ['mail'];
    }

    /** Not where it was taken back, or sent anew, before this letter went out. */
    public function shouldSend(): bool
    {
        return Invitations::find($this->token)?->id === $this->invitation;
    }

    public function toMail(): MailMessage
    {
        $invitation = Invitations::find($this->token);
        $by = $invitation->by->name ?? 'Someone';
        $title = $invitation->plan->title ?? '';

        return (new MailMessage())
            ->subject($invitation?->hands_out === true ? "{$by} gives you a plan to work in" : "{$by} asks you to a plan")
            ->text('mail.invited', [
                'by' => $by,
                'title' => $title === '' ? 'Untitled' : $title,
                'invitation' => $invitation,
                'link' => route('invitation', $this->token),
                'days' => Invitations::HOLDS,
            ]);
    }
}
