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
        $page = $this->watch->join($this->request($user, $name), $line) ?? self::fail('They may see it.');

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
}
