<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Plan;
use App\Models\User;
use App\Store\PlanStore;
use App\Store\WaitingFiles;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\Build\Build;
use Tests\Core\Build\Package;

final class IntakeTest extends TestCase
{
    private const PICTURE = '<w:r><w:drawing><wp:inline '
        . 'xmlns:wp="http://schemas.openxmlformats.org/drawingml/2006/wordprocessingDrawing"><wp:extent cx="381000" cy="1"/><wp:docPr '
        . 'id="1" name="x" descr="The wall"/><a:graphic xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main"><a:blip '
        . 'r:embed="p1"/></a:graphic></wp:inline></w:drawing></w:r>';
    private const STYLE = '<w:style w:type="paragraph" w:styleId="H"><w:name w:val="heading 1"/></w:style>';

    private static function document(string $picture): UploadedFile
    {
        $body
            = Package::paragraph('Tide', '<w:pStyle w:val="H"/>')
            . '<w:p>'
            . self::PICTURE
            . '</w:p>'
            . Package::paragraph('Wall', '<w:pStyle w:val="H"/>');

        return UploadedFile::fake()->createWithContent(
            'Harrow Creek.docx',
            Package::docx(
                $body,
                self::STYLE,
                ['word/media/a.png' => $picture],
                '<Relationship Id="p1" Type="x/image" Target="media/a.png"/>',
            ),
        );
    }

    /** @return list<string> what is left in the folders of work */
    private static function left(): array
    {
        return glob(storage_path('app/private/work-*'), GLOB_ONLYDIR) ?: [];
    }

    public function testADocumentWaitsIsShownAndIsKept(): void
    {
        $token = $this->post('/intake/files', ['file' => self::document(Package::png())])
            ->assertOk()
            ->assertJsonPath('name', 'Harrow Creek.docx')
            ->json('token');
        $this->postJson('/intake/preview', ['token' => $token])
            ->assertOk()
            ->assertJsonPath('title', 'Harrow Creek')
            ->assertJsonPath('count', 2)
            ->assertJsonPath('pictures', 1)
            ->assertJsonPath('isDocument', true);
        $this->postJson('/intake/preview', ['token' => $token, 'notes' => '0'])->assertJsonPath('pictures', 0);
        self::assertSame(0, Plan::query()->where('id', '!=', $this->row->id)->count(), 'Nothing is kept before it is asked for.');
        $answer = $this->postJson('/intake', ['token' => $token])->assertOk();
        $row = Plan::query()->where('id', '!=', $this->row->id)->firstOrFail();
        $answer->assertJsonPath('address', route('plan', $row));
        $plan = app(PlanStore::class)->load($row, true);
        $picture = array_values($plan->topic(Build::id($plan, 'Tide'))->note->blocks ?? [])[0];
        // Its picture was written anew: another file, at its place.
        self::assertNotSame(hash('sha256', Package::png()), $picture->string('picture'));
        $this->get("/plans/{$row->id}/pictures/{$picture->string('picture')}")
            ->assertOk()
            ->assertHeader('Content-Type', 'image/png');
        $this->postJson('/intake/preview', ['token' => $token])->assertUnprocessable();
        self::assertSame([], self::left());
    }

    public function testAPictureThatIsDamagedLeavesItsDescription(): void
    {
        $damaged = substr(Package::png(900, 900), 0, 60) . 'nothing more';
        $answer = $this->postJson('/intake', ['file' => self::document($damaged)]);
        $answer
            = $answer->status() === 200
                ? $answer
                : $this->post('/intake', ['file' => self::document($damaged)], ['Accept' => 'application/json']);
        $answer->assertOk();
        $plan = app(PlanStore::class)->load(Plan::query()->where('id', '!=', $this->row->id)->firstOrFail(), true);
        $picture = array_values($plan->topic(Build::id($plan, 'Tide'))->note->blocks ?? [])[0];
        self::assertSame([null, 'The wall'], [$picture->string('picture'), $picture->string('alt')]);
        self::assertStringContainsString('left out; their descriptions stay', implode(' ', $answer->json('repairs')));
    }

    public function testALargeFileGoesThroughTheQueue(): void
    {
        config(['queue.default' => 'sync']);
        $html = '<h1>Tide</h1>' . str_repeat('<p>' . str_repeat('word ', 200) . '</p>', 1200) . '<h1>Wall</h1>';
        $token = $this->post('/intake/files', ['file' => UploadedFile::fake()->createWithContent('long.html', $html)])->json('token');
        $task = $this->postJson('/intake', ['token' => $token])
            ->assertStatus(202)
            ->json('task');
        $this->getJson($task)->assertJsonPath('state', 'done')->assertJsonPath('result.title', 'long');
        self::assertSame(
            "Tide\nWall",
            Build::outline(app(PlanStore::class)->load(Plan::query()->where('id', '!=', $this->row->id)->firstOrFail())),
        );
    }

    public function testIntoABranch(): void
    {
        $row = $this->start('First');
        $this->postJson('/intake', ['text' => "# Tide\n\n## Mud", 'markdown' => '1', 'into' => $row->id, 'title' => 'More'])->assertOk();
        self::assertSame("First\nMore\n  Tide\n    Mud", Build::outline(app(PlanStore::class)->load($row->refresh())));
        $other = $this->start('Theirs', $this->other());
        $this->postJson('/intake', ['text' => 'A', 'into' => $other->id])->assertNotFound();
        self::assertSame('Theirs', Build::outline(app(PlanStore::class)->load($other->refresh())));
    }

    /** @return iterable<string, array{string, string}> */
    public static function unreadable(): iterable
    {
        yield 'no document' => ['a.docx', 'not a package'];
        yield 'an unknown kind' => ['a.exe', 'cannot be read'];
        yield 'a page without anything' => ['a.html', ''];
    }

    #[DataProvider('unreadable')]
    public function testWhatCannotBeReadLeavesNothingBehind(string $name, string $says): void
    {
        $file = UploadedFile::fake()->createWithContent($name, $name === 'a.html' ? ' ' : 'plain');
        foreach (['/intake/preview', '/intake'] as $address) {
            $message = $this->post($address, ['file' => $file], ['Accept' => 'application/json'])
                ->assertUnprocessable()
                ->json('message');
            self::assertStringContainsString($says, $message);
        }
        self::assertSame(
            [0, 0, []],
            [Plan::query()->where('id', '!=', $this->row->id)->count(), DB::table('pictures')->count(), self::left()],
        );
    }

    public function testAFileWaitsForItsOwnerAlone(): void
    {
        $token = $this->post('/intake/files', ['file' => self::document(Package::png())])->json('token');
        $this->actingAs($this->other());
        $this->getJson("/intake/files/{$token}")->assertNotFound();
        $this->postJson('/intake/preview', ['token' => $token])->assertUnprocessable();
        $this->deleteJson("/intake/files/{$token}")->assertNoContent();
        $this->actingAs($this->user)
            ->getJson("/intake/files/{$token}")
            ->assertOk();
        $this->postJson('/intake/preview', ['token' => '../../../../../etc/passwd/'])->assertUnprocessable();
        $file = app(WaitingFiles::class)->find($this->user, $token) ?? self::fail('It does not wait.');
        touch(Storage::disk('waiting')->path($file->path), time() - 100_000);
        WaitingFiles::purge();
        $this->getJson("/intake/files/{$token}")->assertNotFound();
    }

    private ?User $another = null;

    private function other(): User
    {
        return $this->another ??= $this->account('other');
    }

    public function testBelowATopicWithoutAWrapper(): void
    {
        $row = $this->start("First\n  Its part\nSecond");
        $plan = app(PlanStore::class)->load($row);
        $this->postJson('/intake', ['text' => "Tide\n  Mud\nWall", 'into' => $row->id, 'under' => Build::id($plan, 'First')])->assertOk();
        self::assertSame(
            "First\n  Its part\n  Tide\n    Mud\n  Wall\nSecond",
            Build::outline(app(PlanStore::class)->load($row->refresh())),
        );
        $this->postJson("/plans/{$row->id}/undo", ['base' => $row->refresh()->revision])->assertOk();
        self::assertSame("First\n  Its part\nSecond", Build::outline(app(PlanStore::class)->load($row->refresh())));
        $this->postJson('/intake', ['text' => 'Tide', 'into' => $row->id, 'under' => $this->id('A')])->assertStatus(409);
        self::assertSame(
            "First\n  Its part\nSecond",
            Build::outline(app(PlanStore::class)->load($row->refresh())),
            'A topic of another plan is none to take in below.',
        );
    }

    public function testPastedTextSaysWhatItIs(): void
    {
        $this->postJson('/intake/preview', ['text' => "Tide\n  Mud\n  Wall"])
            ->assertOk()
            ->assertJsonPath('title', 'Tide')
            ->assertJsonPath('firstIsTitle', true)
            ->assertJsonPath('count', 2)
            ->assertJsonPath('isMarkdown', false);
        $this->postJson('/intake/preview', ['text' => "Tide\n  Mud\n  Wall", 'first_is_title' => '0'])
            ->assertOk()
            ->assertJsonPath('firstIsTitle', false)
            ->assertJsonPath('count', 3);
        $this->postJson('/intake/preview', ['text' => "# Tide\n\nwords\n\n## Mud"])
            ->assertOk()
            ->assertJsonPath('isMarkdown', true);
        $this->postJson('/intake/preview', ['text' => "# Tide\n\nwords\n\n## Mud", 'markdown' => '0'])
            ->assertOk()
            ->assertJsonPath('isMarkdown', false);
    }

    public function testWhatWasLeftOutIsToldAndTakenInWhenItIsWanted(): void
    {
        $page = fn(): UploadedFile => UploadedFile::fake()->createWithContent(
            'page.html',
            '<nav><a href="/">Home of the creek</a></nav><h1>Tide</h1><p>Words.</p>',
        );
        $token = $this->post('/intake/files', ['file' => $page()])
            ->assertOk()
            ->json('token');
        $this->postJson('/intake/preview', ['token' => $token])
            ->assertOk()
            ->assertJsonPath('leftOut.0.words', 4)
            ->assertJsonPath('leftOut.0.what', 'what leads around the site');
        $this->postJson('/intake', ['token' => $token, 'left_out' => '1'])->assertOk();
        $plan = app(PlanStore::class)->load(Plan::query()->where('id', '!=', $this->row->id)->firstOrFail(), true);
        self::assertStringContainsString('Home of the creek', (string) $plan->topic(\Embrel\Plan\Plan::ROOT)->note?->plainText());
    }

    public function testLinksOfADocumentStayRightWhenItsSectionsAreMoved(): void
    {
        $link = static fn(
            string $to,
            string $says,
        ): string => "<w:hyperlink w:anchor=\"{$to}\"><w:r><w:t>{$says}</w:t></w:r></w:hyperlink>";
        $mark = '<w:bookmarkStart w:id="1" w:name="wall"/><w:bookmarkEnd w:id="1"/>';
        $body
            = Package::paragraph('Tide', '<w:pStyle w:val="H"/>')
            . '<w:p>'
            . $link('wall', '2 Wall')
            . $link('gone', 'Nowhere')
            . '</w:p>'
            . "<w:p><w:pPr><w:pStyle w:val=\"H\"/></w:pPr>{$mark}<w:r><w:t>Wall</w:t></w:r></w:p>"
            . Package::paragraph('Mud', '<w:pStyle w:val="H"/>');
        $file = UploadedFile::fake()->createWithContent('Linked.docx', Package::docx($body, self::STYLE));
        $this->post('/intake', ['file' => $file], ['Accept' => 'application/json'])->assertOk();
        $this->row = Plan::query()->where('id', '!=', $this->row->id)->firstOrFail();
        $html = fn(): string => $this->get("/plans/{$this->row->id}/hand-over/file?format=html")
            ->assertOk()
            ->streamedContent();
        self::assertMatchesRegularExpression('/<a href="#(_e\w+)">2 Wall<\/a>Nowhere.*id="\1"/s', $html());
        $this->send([
            'type' => 'move',
            'ids' => [$this->id('Wall')],
            'at' => ['parent' => \Embrel\Plan\Plan::ROOT, 'after' => $this->id('Mud')],
        ])->assertOk();
        self::assertMatchesRegularExpression('/<a href="#(_e\w+)">3 Wall<\/a>Nowhere.*id="\1"/s', $html());
    }

    public function testADocumentWithoutAListOfStylesHasItsHeadingsOrSaysThatItHasNone(): void
    {
        $bare = static fn(string $body): UploadedFile => UploadedFile::fake()->createWithContent(
            'Bare.docx',
            Package::docx($body, '', [
                'word/styles.xml' => '<w:styles xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"/>',
            ]),
        );
        $token = $this->post('/intake/files', [
            'file' => $bare(
                Package::paragraph('Tide', '<w:pStyle w:val="Heading1"/>') . Package::paragraph('Mud', '<w:pStyle w:val="Heading2"/>'),
            ),
        ])->json('token');
        $this->postJson('/intake/preview', ['token' => $token])
            ->assertOk()
            ->assertJsonPath('count', 2)
            ->assertJsonPath('repairs', []);
        $token = $this->post('/intake/files', [
            'file' => $bare(Package::paragraph('A line of text that nobody marked as anything.')),
        ])->json('token');
        $says = $this->postJson('/intake/preview', ['token' => $token])
            ->assertOk()
            ->assertJsonPath('count', 0)
            ->json('repairs.0');
        self::assertStringContainsString('Nothing in it is marked as a heading', $says);
    }

    public function testAPastedOutlineOfAProgramBecomesTheTreeThatWasMeant(): void
    {
        $text = "Sure! Here is it:\n\n**Central topic: Bells**\n**Branch 1: Casting**\n- **Bronze**: copper and tin\n**Branch 2: Tuning**\n- Ear\n\nLet me know!";
        $seen = $this->postJson('/intake/preview', ['text' => $text])->assertOk();
        $seen->assertJsonPath('isGenerated', true)->assertJsonPath('isMarkdown', false)->assertJsonPath('title', 'Bells');
        self::assertStringStartsWith('This looks like an outline that a program has written', $seen->json('repairs.0'));
        // As it stands, or as Markdown, where one says so.
        foreach ([['as_written' => '1'], ['markdown' => '0'], ['markdown' => '1']] as $how) {
            $this->postJson('/intake/preview', ['text' => $text] + $how)->assertOk()->assertJsonPath('isGenerated', false);
        }
        $address = (string) $this->postJson('/intake', ['text' => $text])->assertOk()->assertJsonPath('title', 'Bells')->json('address');
        $this->get($address)->assertOk()->assertSee('Casting')->assertDontSee('Branch 1');
        $this->postJson('/intake/preview', ['text' => "Sea\n  Tides\nLand"])->assertOk()->assertJsonPath('isGenerated', false);
    }
}
