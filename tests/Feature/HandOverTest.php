<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use App\Store\NewIds;
use App\Store\PlanStore;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Tests\Core\Build\Build;
use Tests\Core\Build\Package;

final class HandOverTest extends TestCase
{
    private string $address;

    protected function setUp(): void
    {
        parent::setUp();
        $plan = Build::plan("Tide\n  Mud\nWall\nEmpty", new NewIds());
        $plan = $plan->with($plan->topic(Build::id($plan, 'Mud'))->withNote(Build::note('Every tide leaves a skin of silt.')));
        $this->row = app(PlanStore::class)->create($this->user, $plan);
        $this->address = "/plans/{$this->row->id}/hand-over";
    }

    public function testThePreviewIsThePagesAndSaysWhatIsLeftOut(): void
    {
        $this->get("{$this->address}/preview?format=docx&empty=0")
            ->assertOk()
            ->assertSee('<svg class="paper" id="page-1"', false)
            ->assertSee('aria-label="1.1 Mud"', false)
            ->assertSee('2 pages as in PDF; your word processor may break them elsewhere')
            ->assertSee('2 empty sections left out');
        $this->get("{$this->address}/preview?format=pdf")->assertDontSee('may break them elsewhere');
        $this->get("{$this->address}/preview?format=md")->assertSee('## 1 Tide');
        $this->get("{$this->address}/preview?format=epub")->assertSee('Every tide leaves a skin of silt.');
    }

    public function testThePagesSayWhatTheFormatCannotHold(): void
    {
        $plan = Build::plan('Tide', new NewIds());
        $item = new Node(NodeType::ListItem, [], [Node::plain('one'), new Node(NodeType::Blockquote, [], [Node::plain('said')])]);
        $note = Note::of([new Node(NodeType::BulletList, ['id' => Build::ulid(3)], [$item])]);
        $row = app(PlanStore::class)->create($this->user, $plan->with($plan->topic(Build::id($plan, 'Tide'))->withNote($note)));
        $this->get("/plans/{$row->id}/hand-over/preview?format=docx")->assertSee('within list items (1) stand behind the item');
        $this->get("/plans/{$row->id}/hand-over/preview?format=pdf")->assertDontSee('stand behind the item');
    }

    public function testEveryFormatIsHandedOver(): void
    {
        foreach (
            [
                'docx' => 'PK',
                'odt' => 'PK',
                'pdf' => '%PDF-1.7',
                'html' => '<!doctype html>',
                'pages' => 'PK',
                'epub' => 'PK',
                'md' => '# ',
                'tex' => '\documentclass',
                'txt' => 'Test plan',
                'opml' => '<?xml',
                'csv' => 'level,number',
                'svg' => '<?xml',
                'map-pdf' => '%PDF',
            ] as $format => $start
        ) {
            $answer = $this->get("{$this->address}/file?format={$format}")->assertOk();
            self::assertStringStartsWith($start, $answer->streamedContent(), $format);
        }
        $this->get("{$this->address}/file?format=exe")->assertSessionHasErrors('format');
        $this->actingAs($this->other())
            ->get("{$this->address}/file?format=docx")
            ->assertNotFound();
    }

    public function testChoicesAreKeptForThePlan(): void
    {
        $this->putJson($this->address, [
            'format' => 'odt',
            'contents' => '0',
            'heading_depth' => '2',
            'draft_style' => 'manuscript',
        ])->assertNoContent();
        $this->get($this->address)
            ->assertOk()
            ->assertSee('data-format="odt"', false)
            ->assertSee('<option value="manuscript" selected>', false)
            ->assertDontSee('name="contents" checked', false);
        $this->putJson($this->address, ['heading_depth' => '99'])->assertUnprocessable();
    }

    public function testStylesAreKeptUnderANameAndUsed(): void
    {
        $settings = $this->getJson('/styles')->assertOk()->json('essay.settings');
        $this->postJson('/styles', ['settings' => ['name' => 'Report'] + $settings])
            ->assertUnprocessable()
            ->assertJsonPath('message', '“Report” is one of Embrel’s own styles. Give yours another name.');
        $this->postJson('/styles', ['settings' => ['size' => 900] + $settings])->assertUnprocessable();
        $id = $this->postJson('/styles', ['settings' => ['name' => 'For Ms Reed', 'header' => ['Period 4', '', '']] + $settings])
            ->assertOk()
            ->json('id');
        self::assertSame(
            $id,
            $this->postJson('/styles', ['settings' => ['name' => 'For Ms Reed', 'header' => ['Period 5', '', '']] + $settings])->json('id'),
            'The same name is the same style.',
        );
        $this->get("{$this->address}/preview?format=docx&draft_style={$id}")->assertSee('Period 5');
        $this->actingAs($this->other())->getJson('/styles')->assertJsonMissingPath($id);
        $this->deleteJson("/styles/{$id}")->assertNoContent();
        $this->actingAs($this->user)
            ->getJson('/styles')
            ->assertJsonPath("{$id}.name", 'For Ms Reed');
        $this->deleteJson("/styles/{$id}")->assertNoContent();
        $this->getJson('/styles')->assertJsonMissingPath($id);
    }

    public function testFontsTravelAsFarAsThatIsChosen(): void
    {
        $sizes = [];
        foreach (['cut', 'whole', 'none'] as $fonts) {
            $answer = $this->get("/plans/{$this->row->id}/hand-over/file?format=docx&carried_fonts={$fonts}")->assertOk();
            $path = (string) tempnam(sys_get_temp_dir(), 'fonts');
            file_put_contents($path, $answer->streamedContent());
            $zip = new \ZipArchive();
            self::assertTrue($zip->open($path));
            $sizes[$fonts] = 0;
            for ($i = 0; $i < $zip->numFiles; ++$i) {
                $part = $zip->statIndex($i) ?: self::fail();
                $sizes[$fonts] += str_ends_with($part['name'], '.odttf') ? $part['size'] : 0;
            }
            $zip->close();
            unlink($path);
        }
        self::assertSame(0, $sizes['none']);
        self::assertGreaterThan(0, $sizes['cut']);
        self::assertGreaterThan(2 * $sizes['cut'], $sizes['whole']);
        $this->getJson("/plans/{$this->row->id}/hand-over/file?format=docx&carried_fonts=all")->assertStatus(422);
    }

    public function testATemplateOfOnesOwn(): void
    {
        $file = Package::docx(
            '',
            '<w:style w:type="paragraph" w:styleId="meins1"><w:name w:val="Meine Ebene"/><w:pPr><w:outlineLvl '
                . 'w:val="0"/></w:pPr></w:style>',
        );
        $id = $this->post('/templates', ['file' => UploadedFile::fake()->createWithContent('school.dotx', $file)])
            ->assertOk()
            ->json('id');
        $this->getJson("/templates/{$id}")
            ->assertOk()
            ->assertJsonFragment(['style' => 'Heading1', 'label' => 'Heading, level 1', 'takes' => 'meins1', 'guessed' => true]);
        $this->putJson("/templates/{$id}", ['styles' => ['Quote' => 'meins1', 'Nonsense' => 'x']])->assertNoContent();
        $this->getJson("/templates/{$id}")->assertJsonFragment([
            'style' => 'Quote',
            'label' => 'Quotation',
            'takes' => 'meins1',
            'guessed' => false,
        ]);
        $parts = Package::parts($this->get("{$this->address}/file?format=docx&template={$id}")->streamedContent());
        self::assertStringContainsString('<w:pStyle w:val="meins1"/>', $parts['word/document.xml']);
        $other = Package::parts($this->get("{$this->address}/file?format=odt&template={$id}")->streamedContent());
        self::assertStringNotContainsString('meins1', $other['content.xml'], 'A document of another kind takes on its look alone.');
        self::assertStringContainsString('fo:margin-left="30mm"', $other['styles.xml']);
        $this->post(
            '/templates',
            ['file' => UploadedFile::fake()->createWithContent('x.docx', 'no document')],
            ['Accept' => 'application/json'],
        )->assertUnprocessable();
        $this->post(
            '/templates',
            ['file' => UploadedFile::fake()->createWithContent('x.exe', $file)],
            ['Accept' => 'application/json'],
        )->assertUnprocessable();
        $this->actingAs($this->other())
            ->getJson("/templates/{$id}")
            ->assertNotFound();
    }

    public function testATemplateThatIsTooMuchIsRefusedWithAReason(): void
    {
        $send = fn(UploadedFile $file): string => (string) $this->post('/templates', ['file' => $file], ['Accept' => 'application/json'])
            ->assertUnprocessable()
            ->json('message');
        $path = tempnam(sys_get_temp_dir(), 'template') ?: self::fail('No file.');
        self::assertStringContainsString(
            '20 MB at most',
            $send(new UploadedFile($path, 'large.docx', null, UPLOAD_ERR_INI_SIZE, true)),
            'PHP itself cut it off.',
        );
        self::assertStringContainsString('20 MB at most', $send(UploadedFile::fake()->create('large.docx', 65 * 1024)));
        $styles = implode(
            '',
            array_map(
                static fn(int $i): string => "<w:style w:type=\"paragraph\" w:styleId=\"s{$i}\"><w:name w:val=\"Style {$i}\"/></w:style>",
                range(1, 100_000),
            ),
        );
        self::assertStringContainsString(
            '100,001 styles',
            $send(UploadedFile::fake()->createWithContent('many.docx', Package::docx('', $styles))),
        );
        self::assertSame(0, DB::table('templates')->count());
        unlink($path);
    }

    public function testAnOtherPersonReachesNothingOfAPlan(): void
    {
        $file = Package::docx('<w:p/>');
        $template = $this->post('/templates', ['file' => UploadedFile::fake()->createWithContent('mine.docx', $file)])->json('id');
        $task = $this->postJson("{$this->address}/task", ['format' => 'docx'])
            ->assertSuccessful()
            ->json('address');
        $this->actingAs($this->other());
        foreach (['', '/preview', '/file?format=odt', '/sheets'] as $page) {
            $this->get("{$this->address}{$page}")->assertNotFound();
        }
        $this->putJson($this->address, ['format' => 'odt'])->assertNotFound();
        $this->postJson("{$this->address}/task", ['format' => 'docx'])->assertNotFound();
        $this->getJson(strtr($this->address, ['hand-over' => 'way-back']))->assertNotFound();
        $this->postJson(strtr($this->address, ['hand-over' => 'way-back']), ['token' => 'x'])->assertNotFound();
        $this->postJson(strtr($this->address, ['hand-over' => 'way-back/accept']), ['token' => 'x', 'keys' => []])->assertNotFound();
        $this->getJson($task)->assertNotFound();
        $this->get("{$task}/file")->assertNotFound();
        $this->getJson("/templates/{$template}")->assertNotFound();
        $this->deleteJson("/templates/{$template}");
        self::assertSame(1, DB::table('templates')->where('id', $template)->count(), 'Nor can it be removed by them.');
    }

    public function testAFileOfNoUseLeavesNothingOfATemplate(): void
    {
        $this->post(
            '/templates',
            [
                'file' => UploadedFile::fake()->createWithContent(
                    'bomb.docx',
                    Package::zip(['word/document.xml' => str_repeat('a', 70 * 1024 * 1024)]),
                ),
            ],
            ['Accept' => 'application/json'],
        )->assertUnprocessable();
        self::assertSame(0, DB::table('templates')->count());
    }

    public function testLongWorkGoesThroughTheQueue(): void
    {
        config(['queue.default' => 'sync']);
        $task = $this->postJson("{$this->address}/task?format=odt&contents=0")
            ->assertOk()
            ->json('address');
        $done = $this->getJson($task)->assertOk()->assertJsonPath('state', 'done')->json('result');
        self::assertSame('Test plan.odt', $done['name']);
        $this->get($done['file'])->assertOk()->assertDownload('Test plan.odt');
        $this->actingAs($this->other())->getJson($task)->assertNotFound();
        $this->get($done['file'])->assertNotFound();
    }

    public function testWhatFailsInTheQueueIsSaid(): void
    {
        config(['queue.default' => 'sync']);
        DB::table('tasks')->insert([
            'id' => Build::ulid(5),
            'user_id' => $this->user->id,
            'kind' => 'intake',
            'given' => '{"token":"gone"}',
            'created_at' => now(),
            'updated_at' => now(),
        ]);
        \App\Jobs\RunTask::dispatch(Build::ulid(5));
        $this->getJson('/tasks/' . Build::ulid(5))
            ->assertJsonPath('state', 'failed')
            ->assertJsonPath('says', 'The file is not here any more. Choose it again.');
    }

    public function testADraftComesHome(): void
    {
        $docx = $this->get("{$this->address}/file?format=docx")->streamedContent();
        $parts = Package::parts($docx);
        $parts['word/document.xml'] = str_replace(
            ['>Wall</w:t></w:r><w:bookmarkEnd', 'skin of silt'],
            ['>The wall</w:t></w:r><w:bookmarkEnd', 'coat of silt'],
            $parts['word/document.xml'],
        );
        $token = $this->post('/intake/files', ['file' => UploadedFile::fake()->createWithContent('back.docx', Package::zip($parts))])
            ->assertOk()
            ->json('token');
        $this->get("/plans/{$this->row->id}/way-back")->assertOk();
        $changes = $this->postJson("/plans/{$this->row->id}/way-back", ['token' => $token])
            ->assertOk()
            ->assertJsonPath('sure', 1)
            ->json('changes');
        self::assertSame(['rewritten', 'retitled'], array_column($changes, 'kind'));
        $this->actingAs($this->other())
            ->postJson("/plans/{$this->row->id}/way-back", ['token' => $token])
            ->assertNotFound();
        $this->actingAs($this->user)
            ->postJson("/plans/{$this->row->id}/way-back/accept", ['token' => $token, 'keys' => array_column($changes, 'key')])
            ->assertOk();
        $plan = app(PlanStore::class)->load($this->row->refresh(), true);
        self::assertSame("Tide\n  Mud\nThe wall\nEmpty", Build::outline($plan));
        self::assertSame('Every tide leaves a coat of silt.', $plan->topic(Build::id($plan, 'Mud'))->note?->plainText());
        $this->step('undo')->assertOk();
        self::assertSame("Tide\n  Mud\nWall\nEmpty", Build::outline(app(PlanStore::class)->load($this->row->refresh())));
        $this->postJson("/plans/{$this->row->id}/way-back", ['token' => $token])
            ->assertUnprocessable()
            ->assertJsonPath('message', 'The file is not here any more. Choose it again.');
    }

    private ?User $another = null;

    private function other(): User
    {
        return $this->another ??= $this->account('other');
    }

    public function testANumberedOutlineIsTitlesAndNumbersAndItsNotesWhenAskedFor(): void
    {
        $cell = static fn(NodeType $type, string $text): Node => new Node($type, [], [Node::plain($text)]);
        $table = new Node(
            NodeType::Table,
            ['id' => Build::ulid(5)],
            [
                new Node(NodeType::TableRow, [], [$cell(NodeType::TableHeader, 'Bird'), $cell(NodeType::TableHeader, 'Pairs')]),
                new Node(NodeType::TableRow, [], [$cell(NodeType::TableCell, 'Redshank'), $cell(NodeType::TableCell, '14')]),
            ],
        );
        $item = static fn(string $text): Node => new Node(NodeType::ListItem, [], [Node::plain($text)]);
        $list = new Node(NodeType::OrderedList, ['id' => Build::ulid(6)], [$item('mud'), $item('silt')]);
        $this->writeNote('Wall', $table, $list);
        $plain = $this->get("{$this->address}/file?format=txt")->streamedContent();
        self::assertStringContainsString("1. Tide\n", str_replace('1 Tide', '1. Tide', $plain));
        self::assertStringNotContainsString('skin of silt', $plain);
        $noted = $this->get("{$this->address}/file?format=txt&text_notes=1")->streamedContent();
        self::assertMatchesRegularExpression('/Bird {6}Pairs.*\n.*-+ {2}-+.*\n.*Redshank {2}14/', $noted);
        self::assertMatchesRegularExpression('/1\. mud\n.*2\. silt/', $noted);
        $this->get($this->address)->assertOk()->assertSee('Numbered outline');
    }

    public function testTheContentsListGoesAsDeepAsItIsAskedToInEveryDraft(): void
    {
        $this->row = $this->start("One\n  Two\n    Three\n      Four\n        Five");
        $this->address = "/plans/{$this->row->id}/hand-over";
        foreach (['' => 3, '&contents_depth=1' => 1, '&contents_depth=5' => 5] as $asked => $depth) {
            $html = $this->get("{$this->address}/file?format=html&heading_depth=9{$asked}")
                ->assertOk()
                ->streamedContent();
            self::assertSame(1, preg_match('/<nav class="contents".*?<\/nav>/s', $html, $contents));
            self::assertSame($depth, substr_count($contents[0], '<a '), "asked for: {$asked}");
            $docx = Package::parts($this->get("{$this->address}/file?format=docx&heading_depth=9{$asked}")->streamedContent());
            self::assertSame($depth, preg_match_all('/<w:pStyle w:val="TOC\d"\/>/', $docx['word/document.xml']));
            self::assertStringContainsString("TOC \\o &quot;1-{$depth}&quot;", $docx['word/document.xml']);
        }
        $this->get("{$this->address}/file?format=html&contents_depth=99")->assertSessionHasErrors('contents_depth');
    }

    public function testTheTitleOfAQuoteIsNotPartedFromItsQuotation(): void
    {
        $this->send(['type' => 'kind', 'ids' => [$this->id('Mud')], 'value' => 'quote'])->assertOk();
        $docx = Package::parts($this->get("{$this->address}/file?format=docx")->streamedContent())['word/document.xml'];
        self::assertMatchesRegularExpression('/<w:pStyle w:val="Quote"\/><w:keepNext\/>(?:(?!<\/w:p>).)*>Mud</s', $docx);
        $odt = Package::parts($this->get("{$this->address}/file?format=odt")->streamedContent())['content.xml'];
        self::assertMatchesRegularExpression(
            '/<style:style [^>]*style:name="(P\d+)"[^>]*style:parent-style-name="Quotations"><style:paragraph-properties '
                . 'fo:keep-with-next="always"\/>.*<text:p text:style-name="\\1">/s',
            $odt,
        );
        $html = $this->get("{$this->address}/file?format=html")->streamedContent();
        self::assertMatchesRegularExpression('/\.draft-quote \{ break-after: avoid/', $html);
        self::assertMatchesRegularExpression('/<blockquote[^>]* class="draft-quote"><p>Mud</', $html);
    }

    public function testATemplatesOwnFieldsSayWhatThePlanSays(): void
    {
        $this->send(['type' => 'plan', 'set' => ['author' => 'Ada Marsh', 'subject' => 'Harrow Creek']])->assertOk();
        $field = static fn(string $name, string $shows): string => '<w:p>'
            . Package::field($name, "<w:r><w:t>{$shows}</w:t></w:r>")
            . '</w:p>';
        $body
            = $field('AUTHOR', 'The Secretary')
            . $field('TITLE', 'Minutes')
            . $field('DATE \\@ "yyyy"', '1997')
            . Package::paragraph('{title}');
        $id = $this->post('/templates', ['file' => UploadedFile::fake()->createWithContent('minutes.dotx', Package::docx($body))])
            ->assertOk()
            ->json('id');
        $document = Package::parts(
            $this->get("{$this->address}/file?format=docx&template={$id}")
                ->assertOk()
                ->streamedContent(),
        )['word/document.xml'];
        self::assertStringContainsString('Ada Marsh', $document);
        self::assertStringContainsString('Test plan', $document);
        foreach (['The Secretary', 'Minutes', '1997'] as $left) {
            self::assertStringNotContainsString($left, $document);
        }
    }

    public function testOneBranchIsChosenFromItsMenu(): void
    {
        $mud = $this->id('Mud');
        $this->get("{$this->address}?from={$mud}")
            ->assertOk()
            ->assertSee("<option value=\"{$mud}\" selected", false);
        $this->get("{$this->address}/preview?format=html&from={$mud}")
            ->assertOk()
            ->assertSee('skin of silt')
            ->assertDontSee('Wall');
    }

    private function writeNote(string $title, Node ...$blocks): void
    {
        $put = array_map(static fn(Node $block): array => $block->toArray(), $blocks);
        $this->send(['type' => 'note', 'topic' => $this->id($title), 'put' => $put, 'remove' => [], 'order' => null])
            ->assertOk()
            ->assertJsonPath('refused', []);
    }
}
