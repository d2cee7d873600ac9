<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Access\Role;
use App\Http\Controllers\PulseController;
use App\Models\Plan;
use App\Models\Share;
use App\Models\User;
use App\Store\People;
use App\Stream\Page;
use App\Stream\Request;
use App\Stream\Seal;
use App\Stream\Watch;
use App\Stream\Wire;
use Evenement\EventEmitterTrait;
use React\Socket\ConnectionInterface;
use React\Stream\WritableStreamInterface;

/** The stream of news: who is let in, what each page hears, and that who is taken out hears no more. */
final class StreamTest extends TestCase
{
    private Watch $watch;
    private User $ben;

    protected function setUp(): void
    {
        parent::setUp();
        config(['embrel.stream_url' => 'http://127.0.0.1:9']);
        $this->watch = new Watch();
        $this->ben = $this->account('ben');
        Share::query()->create(['plan_id' => $this->row->id, 'user_id' => $this->ben->id, 'role' => Role::Writes]);
    }

    private function request(User $user, string $page, string $verb = 'GET', string $body = ''): Request
    {
        $address = substr(Seal::address($user, $this->row), \strlen('http://127.0.0.1:9'));
        $read = Request::read("{$verb} {$address}&page={$page} HTTP/1.1\r\nHost: x\r\nContent-Length: " . \strlen($body) . "\r\n\r\n{$body}");

        return $read instanceof Request ? $read : self::fail('It is a request.');
    }

    /** @return array{Page, object} with what was written to it, and whether it was ended */
    private function page(User $user, string $name): array
    {
        return $this->at($this->watch, $user, $name);
    }

    /** @return array{Page, object} */
    private function at(Watch $watch, User $user, string $name): array
    {
        $line = new class implements ConnectionInterface {
            use EventEmitterTrait;

            public string $sent = '';
            public bool $isEnded = false;

            public function write($data): bool
            {
                $this->sent .= $data;

                return true;
            }

            public function end($data = null): void
            {
                $this->isEnded = true;
            }

            public function close(): void
            {
                $this->isEnded = true;
            }

            public function getRemoteAddress(): ?string
            {
                return null;
            }

            public function getLocalAddress(): ?string
            {
                return null;
            }

            public function isReadable(): bool
            {
                return true;
            }

            public function isWritable(): bool
            {
                return true;
            }

            public function pause(): void {}

            public function resume(): void {}

            public function pipe(WritableStreamInterface $dest, array $options = []): WritableStreamInterface
            {
                return $dest;
            }
        };
        $page = $watch->join($this->request($user, $name), $line) ?? self::fail('They may see it.');

        return [$page, $line];
    }

    /** @return list<array{string, array<string, mixed>}> the events that came since it was asked last */
    private function heard(object $line): array
    {
        preg_match_all('/^event: (\w+)\ndata: (.*)$/m', $line->sent, $found, PREG_SET_ORDER);
        $line->sent = '';

        return array_map(static fn(array $one): array => [$one[1], json_decode($one[2], true)], $found);
    }

    public function testNobodyTakesThePlaceOfAnothersPage(): void
    {
        [, $bens] = $this->page($this->ben, 'PAGE1');
        [, $again] = $this->page($this->ben, 'PAGE1');
        self::assertTrue($bens->isEnded, 'the line on which the page was before is of no use any more');
        self::assertNull($this->watch->join($this->request($this->user, 'PAGE1'), $again), 'the page is Ben’s');
        $this->watch->beat();
        self::assertFalse($again->isEnded);
        self::assertNotSame('', $again->sent, 'who is turned away takes nothing from who is there');
    }

    public function testASealIsForOnePersonAndOnePlanAndEnds(): void
    {
        $request = $this->request($this->ben, 'PAGE1');
        self::assertTrue(Seal::holds($request->plan, $request->user, $request->until, $request->seal));
        self::assertFalse(Seal::holds($request->plan, $this->user->id, $request->until, $request->seal));
        self::assertFalse(Seal::holds($this->start('X')->id, $request->user, $request->until, $request->seal));
        self::assertFalse(Seal::holds($request->plan, $request->user, $request->until + 1, $request->seal));
        self::assertFalse(Seal::holds($request->plan, $request->user, time() - 1, $request->seal));
    }

    public function testWhatIsNoRequestOfOursIsTurnedAway(): void
    {
        $plan = $this->row->id;
        $good = "GET /plans/{$plan}?by=1&page=ABCD HTTP/1.1\r\n";
        self::assertNull(Request::read($good));
        self::assertInstanceOf(Request::class, Request::read("{$good}\r\n"));
        self::assertNull(Request::read("POST /plans/{$plan}?page=ABCD HTTP/1.1\r\nContent-Length: 5\r\n\r\nabc"));
        foreach ([
            "GET / HTTP/1.1\r\n\r\n", "PUT /plans/{$plan}?page=ABCD HTTP/1.1\r\n\r\n", "GET /plans/{$plan}?page=.. HTTP/1.1\r\n\r\n",
            "GET /plans/{$plan}?page[]=ABCD HTTP/1.1\r\n\r\n", "\x16\x03\x01\r\n\r\n", str_repeat('x', 9000),
            "POST /plans/{$plan}?page=ABCD HTTP/1.1\r\nContent-Length: 99999\r\n\r\n",
        ] as $bad) {
            self::assertFalse(Request::read($bad), substr($bad, 0, 60));
        }
    }

    public function testWhoMayNotSeeThePlanIsNotLetIn(): void
    {
        [, $line] = $this->page($this->ben, 'PAGE1');
        $mallory = $this->account('mallory');
        self::assertNull($this->watch->join($this->request($mallory, 'PAGE2'), $line));
        self::assertSame(1, $this->watch->count());
    }

    public function testASmallChangeIsToldWithItsNewsToAllAndALargeOneByItsNumber(): void
    {
        [$page, $line] = $this->page($this->ben, 'PAGE1');
        self::assertStringContainsString('"revision":1', $this->watch->greeting($page));
        $this->watch->look();
        self::assertSame([], $this->heard($line));
        $this->send(['type' => 'retitle', 'topic' => $this->id('A1'), 'title' => 'Clay'])->assertOk();
        $this->watch->look();
        [[$first, $news], [$second, $at]] = $this->heard($line);
        self::assertSame(['news', 'at', 1, [$this->user->id]], [$first, $second, $news['from'], $news['by']]);
        self::assertSame('Clay', $news['news']['topics'][0]['title']);
        self::assertSame(2, $at['revision']);
        // It is what a page would have been told that asks.
        $asked = $this->actingAs($this->ben)->getJson("/plans/{$this->row->id}/changes?since=1")->json();
        self::assertEquals($asked, $news['news']);
        $topics = [['id' => self::newId(), 'title' => 'X']];
        $this->send(['type' => 'add', 'at' => ['parent' => $this->id('A'), 'after' => null], 'topics' => $topics]);
        $this->watch->look();
        self::assertSame(['at'], array_column($this->heard($line), 0));
    }

    public function testWhatIsSaidAndWhoMayDoWhatIsToldByNumbersAsByThePulse(): void
    {
        [, $line] = $this->page($this->ben, 'PAGE1');
        $said = ['id' => self::newId(), 'topic' => $this->id('A'), 'body' => 'Why?'];
        $this->postJson("/plans/{$this->row->id}/comments", $said)->assertOk();
        $this->watch->look();
        self::assertSame(1, $this->heard($line)[0][1]['talk']);
        $pulse = PulseController::address($this->ben, $this->row);
        $this->getJson("{$pulse}&since=1")->assertNoContent();
        $this->getJson("{$pulse}&since=1&talk=0&people=0")->assertOk()->assertExactJson(['revision' => 1, 'talk' => 1, 'people' => 0]);
        $this->getJson("{$pulse}&since=1&talk=1&people=0")->assertNoContent();
    }

    public function testWhoIsTakenOutHearsNothingMore(): void
    {
        [, $ben] = $this->page($this->ben, 'PAGE1');
        [, $ada] = $this->page($this->user, 'PAGE2');
        People::remove($this->row, $this->ben->id);
        $this->watch->look();
        self::assertSame(['out'], array_column($this->heard($ben), 0));
        self::assertTrue($ben->isEnded);
        self::assertSame(['at'], array_column($this->heard($ada), 0));
        $this->send(['type' => 'retitle', 'topic' => $this->id('A1'), 'title' => 'Clay'])->assertOk();
        $this->watch->look();
        self::assertSame([], $this->heard($ben));
        // And nobody hears of a plan that was deleted.
        Plan::query()->whereKey($this->row->id)->delete();
        $this->heard($ada);
        $this->watch->look();
        self::assertSame(['out'], array_column($this->heard($ada), 0));
        self::assertSame(0, $this->watch->count());
    }

    public function testWhoIsThereIsToldWithWhereTheyAreUntilTheyGo(): void
    {
        [$benPage] = $this->page($this->ben, 'PAGE1');
        [, $ada] = $this->page($this->user, 'PAGE2');
        $topic = $this->id('A1');
        $place = json_encode(['topic' => $topic, 'view' => 'draft', 'writes' => true], JSON_THROW_ON_ERROR);
        $this->watch->moved($this->request($this->ben, 'PAGE1', 'POST', $place));
        $this->watch->tellPlaces();
        $people = $this->heard($ada)[0][1]['people'];
        self::assertSame(['page' => 'PAGE1', 'name' => 'Ben', 'topic' => $topic, 'view' => 'draft', 'writes' => true], $people[0]);
        // Nobody says where another is, and what is no place is none.
        $this->watch->moved($this->request($this->user, 'PAGE1', 'POST', '{"topic":"x"}'));
        $this->watch->tellPlaces();
        self::assertSame([], $this->heard($ada));
        $this->watch->moved($this->request($this->ben, 'PAGE1', 'POST', '{"topic":"<b>","view":{"a":[]},"writes":"yes"}'));
        $this->watch->tellPlaces();
        self::assertSame(['topic' => '', 'view' => '', 'writes' => false], array_slice($this->heard($ada)[0][1]['people'][0], 2));
        $this->watch->leave($benPage);
        $this->watch->tellPlaces();
        self::assertSame(['Ada'], array_column($this->heard($ada)[0][1]['people'], 'name'));
    }

    /** @return list<string> the pages of whoever was told to be there last */
    private static function seen(object $line): array
    {
        preg_match_all('/^event: here\ndata: (.*)$/m', $line->sent, $found);
        $pages = array_column(json_decode((string) end($found[1]), true)['people'], 'page');
        sort($pages);

        return $pages;
    }

    /** @return array{Watch, Watch} of two processes, each of which hears what any of them says */
    private static function twoProcesses(): array
    {
        $all = [];
        $say = static function (string $channel, string $text) use (&$all): void {
            array_map(static fn(Watch $one) => $one->heard($channel, $text), $all);
        };
        $all = [new Watch($say), new Watch($say)];

        return $all;
    }

    public function testWhoIsAtTheLineOfAnotherProcessIsSeenToo(): void
    {
        [$here, $there] = self::twoProcesses();
        [$annasPage, $anna] = $this->at($here, $this->user, 'ANNA1');
        [$bensPage, $ben] = $this->at($there, $this->ben, 'BENS1');
        $here->tellPlaces();
        $there->tellPlaces();
        self::assertSame(['ANNA1', 'BENS1'], self::seen($anna), 'Each sees both.');
        self::assertSame(['ANNA1', 'BENS1'], self::seen($ben));
        // What a page says of itself may come to the process at which its line is not.
        $there->moved($this->request($this->user, 'ANNA1', 'POST', '{"topic":"' . $this->id('A') . '","view":"map","writes":true}'));
        $here->tellPlaces();
        self::assertStringContainsString('"view":"map","writes":true', $ben->sent);
        // Nobody says it for somebody else.
        $here->moved($this->request($this->user, 'BENS1', 'POST', '{"view":"check"}'));
        $there->tellPlaces();
        self::assertStringNotContainsString('"view":"check"', $anna->sent . $ben->sent);
        $there->leave($bensPage);
        $there->tellPlaces();
        self::assertSame(['ANNA1'], self::seen($anna), 'Who has gone is gone everywhere.');
        $here->leave($annasPage);
    }

    public function testWhatHasChangedIsLookedForWhereItWasHeardOf(): void
    {
        [, $line] = $this->page($this->ben, 'BENS2');
        $this->send(['type' => 'retitle', 'topic' => $this->id('A'), 'title' => 'Another']);
        $this->watch->look(false);
        self::assertStringNotContainsString('Another', $line->sent, 'Nobody has said anything.');
        $this->watch->heard(Wire::PLANS, $this->row->id);
        $this->watch->look(false);
        self::assertStringContainsString('Another', $line->sent);
    }

    public function testWordsOfRedisAreReadHoweverTheyComeInPieces(): void
    {
        $text = Wire::command('message', 'embrel.plans', "zwei\r\nZeilen – ✓");
        for ($i = 0; $i < \strlen($text); ++$i) {
            self::assertNull(Wire::word(substr($text, 0, $i)), "After {$i} bytes it is not whole.");
        }
        self::assertSame([['message', 'embrel.plans', "zwei\r\nZeilen – ✓"], \strlen($text)], Wire::word($text . '*1'));
        self::assertSame([['subscribe', 'a', '1'], 30], Wire::word("*3\r\n$9\r\nsubscribe\r\n$1\r\na\r\n:1\r\n"));
        self::assertSame([['OK'], 5], Wire::word("+OK\r\n"));
    }
}
