<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Mail\HandedOverLetter;
use App\Models\Sending;
use App\Models\Share;
use App\Models\Task;
use App\Store\Sendings;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\Mailer\Exception\TransportException;

/** Handing over by mail: the file itself, or a link that ends. */
final class SendingTest extends TestCase
{
    private function mail(array ...$more): \Illuminate\Testing\TestResponse
    {
        return $this->postJson(
            "/plans/{$this->row->id}/hand-over/sendings",
            array_merge(['format' => 'txt', 'addresses' => 'ben@example.org', 'line' => '', 'as_link' => false, 'days' => 30], ...$more),
        );
    }

    public function testTheFileGoesOutInALetterToEachAddressAlone(): void
    {
        Mail::fake();
        $this->mail(['addresses' => "Ben@Example.org, cat@example.org\nben@example.org", 'line' => 'As promised.'])
            ->assertOk()
            ->assertJsonPath('sendings.0.to', 'ben@example.org, cat@example.org')
            ->assertJsonPath('sendings.0.state', 'sent');
        Mail::assertSent(HandedOverLetter::class, 2);
        Mail::assertSent(HandedOverLetter::class, function (HandedOverLetter $letter): bool {
            $letter->assertSeeInText('As promised.');
            $letter->assertHasSubject('Ada sends you “' . $this->row->title . '”');
            $letter->assertHasReplyTo('ada@example.org');
            self::assertCount(1, $letter->attachments());
            self::assertCount(1, $letter->to);

            return $letter->hasTo('ben@example.org');
        });
        self::assertNull(Sending::query()->sole()->token);
    }

    /** @return string the path of the link in the letter */
    private function linked(): string
    {
        Mail::fake();
        $this->mail(['as_link' => true, 'days' => 3])->assertOk();
        $path = '';
        Mail::assertSent(HandedOverLetter::class, function (HandedOverLetter $letter) use (&$path): bool {
            $text = (string) view('mail.handed-over', $letter->content()->with)->render();
            preg_match('#/sent/[0-9A-HJKMNP-TV-Z]{26}#', $text, $m);
            $path = $m[0] ?? '';
            self::assertSame([], $letter->attachments());

            return true;
        });

        return $path;
    }

    public function testALinkLeadsToTheFileWithoutAnAccountUntilItEnds(): void
    {
        $path = $this->linked();
        self::assertSame(hash('sha256', basename($path)), Sending::query()->sole()->token);
        auth()->logout();
        $this->get($path)->assertOk()->assertHeader('X-Robots-Tag', 'noindex, nofollow, noarchive')->assertSee('Ada sends you this file');
        $file = $this->get("{$path}/file")->assertOk();
        self::assertStringContainsString('1 A', $file->streamedContent());
        $this->travel(4)->days();
        $this->get($path)->assertNotFound();
        $this->get("{$path}/file")->assertNotFound();
        Sendings::purge();
        self::assertNull(Sending::query()->sole()->token);
        self::assertFalse(Storage::disk(Sending::DISK)->exists(Sending::query()->sole()->id));
    }

    public function testWhoSentItEndsItsLinkAndNobodyElse(): void
    {
        $path = $this->linked();
        $id = Sending::query()->sole()->id;
        $jory = $this->account('jory');
        Share::query()->create(['plan_id' => $this->row->id, 'user_id' => $jory->id, 'role' => 'writes']);
        $this->actingAs($jory)->getJson("/plans/{$this->row->id}/hand-over/sendings")->assertOk()->assertJsonCount(0, 'sendings');
        $this->deleteJson("/plans/{$this->row->id}/hand-over/sendings/{$id}")->assertNotFound();
        $this->get($path)->assertOk();
        $this->actingAs($this->user)->deleteJson("/plans/{$this->row->id}/hand-over/sendings/{$id}")->assertOk();
        $this->get($path)->assertNotFound();
    }

    public function testWhatIsTooLargeForALetterGoesOutAsALink(): void
    {
        Mail::fake();
        config(['embrel.letter_bytes' => 4]);
        $this->mail()->assertJsonPath('sendings.0.says', 'The file was too large for a letter, so a link went out.');
        self::assertNotNull(Sending::query()->sole()->token);
        Mail::assertSent(HandedOverLetter::class, static fn(HandedOverLetter $letter): bool => $letter->attachments() === []);
    }

    public function testWhatThePostDoesNotTakeIsSaid(): void
    {
        Mail::swap(new class {
            private string $address = '';

            public function to(string $address): self
            {
                $this->address = $address;

                return $this;
            }

            public function send(mixed $letter): void
            {
                $this->address === 'no@example.org' ? throw new TransportException('550 no such mailbox') : null;
            }
        });
        $this->mail(['addresses' => 'no@example.org ben@example.org'])
            ->assertJsonPath('sendings.0.state', 'sent')
            ->assertJsonPath('sendings.0.says', 'The post did not take the letter to no@example.org.');
        $this->mail(['addresses' => 'no@example.org'])->assertJsonPath('sendings.0.state', 'failed');
    }

    public function testWhatIsNoAddressOrTooManyIsRefused(): void
    {
        Mail::fake();
        $one = static fn(int $n): string => "p{$n}@example.org";
        $people = static fn(int $count): string => implode(' ', array_map($one, range(1, $count)));
        foreach (['', 'ben', "ben@example.org\nno one", $people(21)] as $to) {
            $this->mail(['addresses' => $to])->assertStatus(422);
        }
        $this->mail(['line' => str_repeat('a', 1001)])->assertStatus(422);
        $this->mail(['days' => 0])->assertStatus(422);
        for ($i = 0; $i < 10; ++$i) {
            $this->mail(['addresses' => $people(20)])->assertOk();
        }
        $this->mail()->assertStatus(429)->assertJsonPath('message', 'You have sent to 200 addresses within a day. More goes tomorrow.');
        Mail::assertSent(HandedOverLetter::class, 200);
    }

    public function testNothingGoesOutOfAPlanThatIsNotTheirsAnyMore(): void
    {
        Mail::fake();
        $jory = $this->account('jory');
        app(Sendings::class)->start($this->row, $jory, ['ben@example.org'], '', ['format' => 'txt'], false, 3);
        Mail::assertNothingSent();
        self::assertSame('failed', Sending::query()->sole()->state);
    }

    public function testTheLimitOfADayIsNotSetBackByTakingWhatWasSentOffTheList(): void
    {
        Mail::fake();
        $people = implode(' ', array_map(static fn(int $n): string => "p{$n}@example.org", range(1, 20)));
        for ($i = 0; $i < 10; ++$i) {
            $id = $this->mail(['addresses' => $people])->assertOk()->json('sendings.0.id');
            $this->deleteJson("/plans/{$this->row->id}/hand-over/sendings/{$id}")->assertOk();
        }
        $this->mail()->assertStatus(429);
        $this->travel(25)->hours();
        $this->mail()->assertOk();
    }

    public function testASendingWhoseProcessWasStoppedSaysSo(): void
    {
        Queue::fake();
        $this->mail()->assertOk()->assertJsonPath('sendings.0.state', 'waiting');
        Task::query()->sole()->failed('This was stopped.');
        $this->getJson("/plans/{$this->row->id}/hand-over/sendings")
            ->assertJsonPath('sendings.0.state', 'failed')
            ->assertJsonPath('sendings.0.says', static fn(string $says): bool => str_contains($says, 'was stopped'));
    }
}
