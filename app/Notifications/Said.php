<?php

declare(strict_types=1);

namespace App\Notifications;

use App\Models\User;
use App\Store\Notices;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;
use Illuminate\Support\Facades\URL;
use Symfony\Component\Mime\Email;

/** The letter about what was said: one thing at once, or all of a day. What it tells is looked up when it goes out. */
final class Said extends Notification implements ShouldQueue
{
    use Queueable;

    /** @var list<string> what the letter tells */
    private array $told = [];

    /** @param string|null $notice null: all that waits for the letter of the day */
    public function __construct(private readonly ?string $notice) {}

    /** @return list<string> */
    public function via(): array
    {
        return ['mail'];
    }

    /** Not where it was seen, taken back, or told already; and not of a plan that the person may not see any more. */
    public function shouldSend(User $user): bool
    {
        return $this->notices($user) !== [];
    }

    public function toMail(User $user): MailMessage
    {
        $notices = $this->notices($user);
        $this->told = array_column($notices, 'id');
        $off = URL::signedRoute('letters.off', ['user' => $user->id]);
        $first = $notices[0] ?? ['says' => '', 'title' => ''];
        $count = \count($notices);

        return (new MailMessage())
            ->subject($count === 1 ? "{$first['says']} in “{$first['title']}”" : "{$count} new comments")
            ->withSymfonyMessage(static function (Email $mail) use ($off): void {
                // The mail program can offer it as a button of its own (RFC 8058).
                $mail->getHeaders()->addTextHeader('List-Unsubscribe', "<{$off}>");
                $mail->getHeaders()->addTextHeader('List-Unsubscribe-Post', 'List-Unsubscribe=One-Click');
            })
            ->text('mail.said', ['notices' => $notices, 'off' => $off]);
    }

    /** Told it is when the letter has gone out: one that the post does not take is sent again. */
    public function afterSending(): void
    {
        Notices::mailed($this->told);
    }

    /** @return list<array{id: string, says: string, plan: string, title: string, body: string, comment: string}> */
    private function notices(User $user): array
    {
        if ($this->notice === null) {
            return Notices::forLetter($user);
        }
        $one = Notices::one($user, $this->notice);

        return $one === null ? [] : [$one];
    }
}
