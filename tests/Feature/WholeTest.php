<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Plan as PlanRow;
use App\Models\User;
use App\Store\Comments;
use App\Store\Everything;
use App\Store\History;
use App\Store\PlanPictures;
use App\Store\PlanProof;
use App\Store\WholeAccount;
use Embrel\Plan\Plan;
use Embrel\Reader\Unreadable;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;

/** All that a person has goes out with everything that has happened to it, and comes in again as it was. */
final class WholeTest extends TestCase
{
    /** @var list<string> */
    private array $files = [];

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('pictures');
        Storage::fake('attachments');
        Storage::fake('waiting');
        Storage::fake('results');
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), array_filter($this->files, is_file(...)));
        parent::tearDown();
    }

    /** A plan that was worked on by two, with an undo, versions, sources, comments, a picture and a file. */
    private function work(): void
    {
        $ben = $this->account('ben');
        \App\Models\Share::query()->create(['plan_id' => $this->row->id, 'user_id' => $ben->id, 'role' => \App\Access\Role::Writes]);
        $a = $this->id('A');
        $this->send(['type' => 'retitle', 'topic' => $a, 'title' => 'The wall “of 1887”'])->assertOk();
        $note = [['type' => 'paragraph', 'attrs' => ['id' => self::newId()], 'content' => [['type' => 'text', 'text' => 'It stands.']]]];
        $this->send([
            'type' => 'add',
            'at' => ['parent' => $a, 'after' => null],
            'topics' => [['id' => self::newId(), 'title' => 'New', 'note' => $note]],
        ])->assertOk();
        $this->send(['type' => 'source', 'sources' => [['id' => self::newId(), 'title' => 'Tides and Walls']]])->assertOk();
        app(History::class)->keepVersion($this->row->refresh(), 'For the council');
        $this->actingAs($ben);
        $this->send(['type' => 'remove', 'ids' => [$this->id('B')]])->assertOk();
        $this->send(['type' => 'retitle', 'topic' => $this->id('C'), 'title' => 'See'])->assertOk();
        $this->actingAs($this->user);
        $this->send(['type' => 'retitle', 'topic' => $a, 'title' => 'Twice'])->assertOk();
        $this->step('undo')->assertOk();
        $first = self::newId();
        $this->postJson("/plans/{$this->row->id}/comments", ['id' => $first, 'topic' => $a, 'body' => 'Is that so?'])->assertOk();
        $this->actingAs($ben)->postJson(
            "/plans/{$this->row->id}/comments",
            ['id' => self::newId(), 'topic' => $a, 'thread' => $first, 'body' => 'It is.'],
        )->assertOk();
        $this->actingAs($this->user);
        (new PlanPictures($this->row->id))->keep(self::picture());
        $this->post(
            "/plans/{$this->row->id}/attachments",
            ['id' => self::newId(), 'holder' => $a, 'file' => UploadedFile::fake()->createWithContent('minutes.pdf', "%PDF-1.4\n%%EOF")],
            ['Accept' => 'application/json'],
        )->assertOk();
    }

    private static function picture(): string
    {
        $image = imagecreatetruecolor(30, 20);
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    }

    private function zip(User $user): string
    {
        return $this->files[] = app(Everything::class)->zip($user);
    }

    /** @return array<string, list<array<string, mixed>>> name of a file of plans → its lines */
    private static function lines(string $path): array
    {
        $zip = new \ZipArchive();
        self::assertTrue($zip->open($path));
        $lines = [];
        for ($i = 0; $i < $zip->numFiles; ++$i) {
            $name = (string) $zip->getNameIndex($i);
            if (preg_match('~\Awhole/\d+\.jsonl\z~', $name) === 1) {
                $lines[$name] = array_map(
                    static fn(string $line): array => json_decode($line, true, 512, JSON_THROW_ON_ERROR),
                    explode("\n", rtrim((string) $zip->getFromIndex($i))),
                );
            }
        }

        return $lines;
    }

    public function testWhatComesInElsewhereIsEqualToWhatWentOut(): void
    {
        $this->work();
        $out = $this->zip($this->user);
        // Elsewhere: this one has no account, and nothing of the plan is there.
        app(\App\Store\PlanStore::class)->erase($this->row);
        Storage::fake('pictures');
        Storage::fake('attachments');
        $other = $this->account('other');
        $taken = app(WholeAccount::class)->read($other, $out);
        self::assertSame(['plans' => 1, 'said' => []], $taken);
        $row = PlanRow::query()->where('owner_id', $other->id)->sole();
        self::assertNull(app(PlanProof::class)->fails($row));
        self::assertEquals(self::lines($out), self::lines($this->zip($other)));
        self::assertSame(self::picture(), (new PlanPictures($row->id))->bytes(hash('sha256', self::picture())));
        // It goes on from there: the history tells who did what, and one may go back.
        $steps = app(History::class)->steps($row);
        self::assertContains('Ben', array_column($steps, 'by'));
        self::assertSame(['For the council'], array_values(app(History::class)->versions($row)));
        $this->actingAs($other)->get("/plans/{$row->id}/history")->assertOk()->assertSee('Ben');
        $this->getJson("/plans/{$row->id}/comments")->assertOk()->assertSee('Is that so?')->assertSee('It is.');
        $this->getJson("/plans/{$row->id}/film/steps")->assertOk();
        $seq = (int) DB::table('snapshots')->where('plan_id', $row->id)->where('name', 'For the council')->value('seq');
        $this->post("/plans/{$row->id}/history/{$seq}/back")->assertRedirect();
        self::assertNull(app(PlanProof::class)->fails($row->refresh()));
    }

    public function testWhereTheSameIsHereAlreadyItComesBesideIt(): void
    {
        $this->work();
        $before = (int) DB::table('comments')->count();
        self::assertSame(1, app(WholeAccount::class)->read($this->user, $this->zip($this->user))['plans']);
        self::assertSame(2, $this->user->plans()->count());
        self::assertSame(2 * $before, DB::table('comments')->count());
        [$one, $two] = $this->user->plans()->orderBy('id')->get()->all();
        self::assertNull(app(PlanProof::class)->fails($two));
        // What is said has ids of its own in the second; all else is the same.
        $lines = self::lines($this->zip($this->user));
        $rest = static fn(array $all): array => array_filter($all, static fn(array $line): bool => $line['kind'] !== 'comment');
        self::assertEquals($rest($lines['whole/001.jsonl']), $rest($lines['whole/002.jsonl']));
        self::assertNotSame($one->id, $two->id);
    }

    public function testOfOthersOnlyTheirNamesGoOut(): void
    {
        $this->work();
        $said = json_encode(self::lines($this->zip($this->user)), JSON_THROW_ON_ERROR);
        self::assertStringContainsString('"by":"Ben"', $said);
        self::assertStringNotContainsString('example.org', $said);
    }

    /** @return iterable<string, array{\Closure(list<array<string, mixed>>): list<array<string, mixed>>}> what somebody does to the lines of a plan */
    public static function changed(): iterable
    {
        $set = static fn(string $kind, string $path, mixed $value): \Closure => static function (array $lines) use ($kind, $path, $value) {
            $at = array_search($kind, array_column($lines, 'kind'), true);
            self::assertIsInt($at, "There is a {$kind}.");
            data_set($lines[$at], $path, $value);

            return $lines;
        };
        yield 'another version' => [$set('plan', 'embrel', 2)];
        yield 'no beginning' => [static fn(array $lines): array => array_slice($lines, 2)];
        yield 'a change that is missing' => [static fn(array $lines): array => [...array_slice($lines, 0, 3), ...array_slice($lines, 4)]];
        yield 'a change twice' => [static fn(array $lines): array => [...array_slice($lines, 0, 4), ...array_slice($lines, 3)]];
        yield 'the same id twice' => [static function (array $lines): array {
            $lines[3]['id'] = $lines[2]['id'];

            return $lines;
        }];
        yield 'a title that is too long' => [$set('first', 'body.topics.1.title', str_repeat('x', 5000))];
        yield 'a title that is none' => [$set('first', 'body.topics.1.title', ['x'])];
        yield 'a topic under itself' => [static function (array $lines): array {
            $id = $lines[1]['body']['topics'][1]['id'];
            $lines[2]['did'] = ['v' => 1, 'parts' => [$id => [[[], [$id], true]]]];

            return $lines;
        }];
        yield 'a change that is of no form' => [$set('change', 'did', ['v' => 99])];
        yield 'a name that is too long' => [static fn(array $lines): array => array_map(
            static fn(array $line): array => isset($line['by']) ? ['by' => str_repeat('x', 500)] + $line : $line,
            $lines,
        )];
        yield 'a time that is none' => [$set('change', 'at', '0000-00-00T99:00:00Z')];
        yield 'a comment on nothing' => [$set('comment', 'topic', '01ZZZZZZZZZZZZZZZZZZZZZZZZ')];
        yield 'an answer to nothing' => [$set('comment', 'thread', '01ZZZZZZZZZZZZZZZZZZZZZZZZ')];
        yield 'an id that is none' => [$set('change', 'id', '../../etc/passwd')];
        yield 'a line of another kind' => [static fn(array $lines): array => [...$lines, ['kind' => 'users', 'is_administrator' => true]]];
        yield 'nothing' => [static fn(): array => []];
    }

    /** @param \Closure(list<array<string, mixed>>): list<array<string, mixed>> $change */
    #[DataProvider('changed')]
    public function testWhatWasChangedIsRefusedAndNothingOfItIsKept(\Closure $change): void
    {
        $this->work();
        $path = $this->zip($this->user);
        $lines = $change(self::lines($path)['whole/001.jsonl']);
        $zip = new \ZipArchive();
        $zip->open($path);
        $zip->addFromString('whole/001.jsonl', implode("\n", array_map(json_encode(...), $lines)));
        $zip->close();
        $plans = DB::table('plans')->count();
        $comments = DB::table('comments')->count();
        $taken = app(WholeAccount::class)->read($this->user, $path);
        self::assertSame(0, $taken['plans']);
        self::assertStringStartsWith('Plan 1: This was not written by Embrel', $taken['said'][0]);
        self::assertSame([$plans, $comments], [DB::table('plans')->count(), DB::table('comments')->count()]);
    }

    public function testAFileThatIsNoneIsRefusedInWords(): void
    {
        foreach (['not a zip' => 'words', 'an empty zip' => "PK\5\6" . str_repeat("\0", 18)] as $bytes) {
            $this->files[] = $path = (string) tempnam(sys_get_temp_dir(), 'embrel');
            file_put_contents($path, $bytes);
            try {
                app(WholeAccount::class)->read($this->user, $path);
                self::fail('It is none.');
            } catch (Unreadable $why) {
                self::assertNotSame('', $why->getMessage());
            }
        }
        self::assertSame(1, Artisan::call('embrel:take-in', ['email' => 'nobody@example.org', 'file' => $path]));
        self::assertSame(1, Artisan::call('embrel:take-in', ['email' => 'ada@example.org', 'file' => '/nowhere']));
    }

    public function testItComesInByTheAccountPage(): void
    {
        $this->work();
        $path = $this->zip($this->user);
        $this->get('/account')->assertOk()->assertSee('Take everything in');
        $this->post('/account/everything')->assertSessionHasErrors('everything');
        $page = $this->post('/account/everything', ['everything' => new UploadedFile($path, 'embrel.zip', 'application/zip', null, true)])
            ->assertOk()
            ->assertSee('The plans are being taken in.');
        preg_match('~data-address="[^"]*/tasks/([0-9A-Z]{26})"~', (string) $page->getContent(), $found);
        $this->getJson("/tasks/{$found[1]}")
            ->assertOk()
            ->assertJsonPath('state', 'done')
            ->assertJsonPath('result.says', 'One plan is here now.');
        self::assertSame(2, $this->user->plans()->count());
        self::assertSame([], Storage::disk('waiting')->allFiles());
    }

    public function testEveryFormatComesWhereItIsAskedFor(): void
    {
        $path = $this->files[] = app(Everything::class)->zip($this->user, null, true);
        $zip = new \ZipArchive();
        $zip->open($path);
        $ends = [];
        for ($i = 0; $i < $zip->numFiles; ++$i) {
            preg_match('~\Aformats/01 [^/]+?\.((?:map\.)?\w+)\z~', (string) $zip->getNameIndex($i), $found) === 1 && $ends[] = $found[1];
        }
        sort($ends);
        self::assertSame(['csv', 'epub', 'html', 'map.pdf', 'md', 'odp', 'odt', 'pdf', 'pptx', 'svg', 'tex', 'txt'], $ends);
    }
}
