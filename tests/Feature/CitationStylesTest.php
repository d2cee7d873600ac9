<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Access\Role;
use App\Models\Plan;
use App\Models\Share;
use App\Store\CitationStyles;
use App\Store\StyleEffort;
use App\Store\WholePlan;
use Embrel\Citation\Csl\CslError;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Core\Build\Package;

/** Styles of citations over HTTP: found, looked at with the plan's own sources, brought along, shared with a plan, removed. */
final class CitationStylesTest extends TestCase
{
    private static function style(string $title = 'Low Shores', string $more = ''): string
    {
        return '<?xml version="1.0" encoding="utf-8"?><style xmlns="http://purl.org/net/xbiblio/csl" version="1.0" class="in-text">'
            . "<info><title>{$title}</title><id>http://shores.example/low</id><category citation-format=\"author-date\"/>"
            . '<updated>2026-01-01T00:00:00+00:00</updated></info>'
            . '<citation><layout prefix="{" suffix="}"><names variable="author"><name form="short"/></names></layout></citation>'
            . "<bibliography><layout suffix=\"!\"><text variable=\"title\" prefix=\"~\"/>{$more}</layout></bibliography></style>";
    }

    private function take(string $xml): TestResponse
    {
        $file = UploadedFile::fake()->createWithContent('a.csl', $xml);

        return $this->post('/citation-styles', ['file' => $file], ['Accept' => 'application/json']);
    }

    private function source(): void
    {
        $this->send(['type' => 'source', 'sources' => [[
            'id' => self::newId(), 'title' => 'Tides and Walls', 'kind' => 'book', 'authors' => [['family' => 'Pell', 'given' => 'Anna']],
            'date' => '1994',
        ]]])->assertJsonPath('refused', []);
    }

    public function testStylesAreFoundByNameAndByJournalAndLookedAt(): void
    {
        $this->source();
        $found = $this->getJson($this->at('citation-styles'))->assertOk();
        self::assertGreaterThan(60, \count($found->json('styles')));
        self::assertSame([], $found->json('journals'));
        $this->getJson($this->at('citation-styles?find=harvard+sage'))->assertJsonPath('styles', [[
            'key' => 'sage-harvard', 'label' => 'Sage, Harvard', 'as' => 'author and date in the text', 'group' => 'text',
            'own' => false, 'mine' => false,
        ]]);
        $this->getJson($this->at('citation-styles?find=marine+biodiversity'))
            ->assertJsonPath('journals.0.name', 'Marine Biodiversity')
            ->assertJsonPath('journals.0.label', 'Springer, author and date');
        $this->getJson($this->at('citation-styles?find[]=x'))->assertOk();

        $look = $this->getJson($this->at('citation-styles/ieee'))->assertOk();
        self::assertSame(['[1, pp. 61–63]', '[1]'], $look->json('citations'));
        self::assertSame(['[1] A. Pell, <em>Tides and Walls</em>. 1994.'], $look->json('entries'));
        $this->getJson($this->at('citation-styles/nonsense'))->assertNotFound();
        $this->getJson($this->at('citation-styles/own-' . str_repeat('0', 32)))->assertNotFound();
    }

    public function testWithoutSourcesMadeUpOnesShowWhatAStyleIsLike(): void
    {
        $look = $this->getJson($this->at('citation-styles/chicago-notes'))->assertOk();

        self::assertTrue($look->json('notes'));
        self::assertStringContainsString('Anna Pell, <em>Tides and Walls</em>', $look->json('citations.0'));
        self::assertCount(3, $look->json('entries'));
    }

    public function testAPlanCanBePrintedInAnyThatShips(): void
    {
        $this->source();
        $this->send(['type' => 'plan', 'set' => ['citation_style' => 'multidisciplinary-digital-publishing-institute']])
            ->assertJsonPath('refused', []);
        $this->getJson($this->at('source-list'))->assertJsonPath('style.label', 'MDPI');
        self::assertCount(1, $this->send(['type' => 'plan', 'set' => ['citation_style' => '../apa']])->json('refused'));
    }

    public function testAStyleThatIsBroughtAlongIsKeptPrintedSharedAndRemoved(): void
    {
        $this->source();
        $key = (string) $this->take(self::style())->assertOk()->assertJsonPath('label', 'Low Shores')->json('key');
        $this->getJson($this->at('citation-styles?find=low'))->assertJsonPath('styles.0.key', $key)->assertJsonPath('styles.0.mine', true);
        $this->getJson($this->at("citation-styles/{$key}"))->assertJsonPath('citations.0', '{Pell}');
        $file = (string) $this->get("/citation-styles/{$key}")->assertOk()->getContent();
        self::assertStringContainsString('<title>Low Shores</title>', $file);

        $this->send(['type' => 'plan', 'set' => ['citation_style' => $key]])->assertJsonPath('refused', []);
        $this->getJson($this->at('source-list'))
            ->assertJsonPath('style', ['key' => $key, 'label' => 'Low Shores'])
            ->assertJsonPath('sources.0.entry', '~Tides and Walls!');

        // Whoever works there has it, and can keep it.
        $other = $this->account('bea');
        Share::query()->create(['plan_id' => $this->row->id, 'user_id' => $other->id, 'role' => Role::Writes]);
        $this->actingAs($other);
        $this->getJson($this->at("citation-styles/{$key}"))->assertOk()->assertJsonPath('mine', false);
        $this->get("/citation-styles/{$key}")->assertNotFound();
        $this->postJson($this->at("citation-styles/{$key}"))->assertOk();
        $this->get("/citation-styles/{$key}")->assertOk();

        // Taken off both lists, it stays with the plan that is printed in it.
        foreach ([$other, $this->user] as $person) {
            $this->actingAs($person)->deleteJson("/citation-styles/{$key}")->assertNoContent();
        }
        self::assertSame([], CitationStyles::of($this->user));
        DB::table('style_files')->update(['created_at' => now()->subWeek()]);
        Artisan::call('embrel:purge');
        $this->getJson($this->at('source-list'))->assertJsonPath('sources.0.entry', '~Tides and Walls!');
        $this->step('undo');
        $this->getJson($this->at('source-list'))->assertJsonPath('style.key', 'apa');
        $this->step('redo');
        $this->getJson($this->at('source-list'))->assertJsonPath('sources.0.entry', '~Tides and Walls!');
    }

    public function testOneThatNobodyKeepsAndNoPlanUsesGoes(): void
    {
        $key = $this->take(self::style())->json('key');
        $this->deleteJson("/citation-styles/{$key}");
        DB::table('style_files')->update(['created_at' => now()->subWeek()]);
        Artisan::call('embrel:purge');

        self::assertSame(0, DB::table('style_files')->count());
    }

    public function testWhatIsNoStyleIsRefusedWithASentenceAndNothingIsKept(): void
    {
        $this->take('<html/>')->assertStatus(422)->assertJsonPath('message', 'The file begins with <html> and not with <style>.');
        $this->take(self::style('x', '<text macro="gone"/>'))
            ->assertStatus(422)
            ->assertJsonPath('message', 'The style uses a macro “gone” that it does not have.');
        $this->take(str_repeat('x', 1_000_001))->assertStatus(422);
        $this->postJson('/citation-styles')->assertStatus(422);
        $this->postJson('/citation-styles', ['file' => 'text'])->assertStatus(422);
        self::assertSame(0, DB::table('style_files')->count());
    }

    public function testAStyleThatFollowsAnotherNeedsThatOne(): void
    {
        $this->source();
        $follows = static fn(string $parent): string => '<style xmlns="http://purl.org/net/xbiblio/csl" version="1.0"><info><title>Journal</title>'
            . "<id>http://shores.example/j</id><link href=\"{$parent}\" rel=\"independent-parent\"/><category citation-format=\"author-date\"/>"
            . '<updated>2026-01-01T00:00:00+00:00</updated></info></style>';
        $says = (string) $this->take($follows('http://shores.example/low'))->assertStatus(422)->json('message');
        self::assertStringContainsString('“Journal” follows another style, http://shores.example/low, which is not here', $says);

        $this->take(self::style())->assertOk();
        $key = $this->take($follows('http://shores.example/low'))->assertOk()->assertJsonPath('label', 'Journal')->json('key');
        $this->getJson($this->at("citation-styles/{$key}"))->assertJsonPath('citations.0', '{Pell}');

        $key = $this->take($follows('http://www.zotero.org/styles/ieee'))->assertOk()->json('key');
        $this->getJson($this->at("citation-styles/{$key}"))->assertJsonPath('citations.1', '[1]')->assertJsonPath('group', 'numbers');
    }

    /**
     * A book that the note of “A” cites.
     *
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    private function cited(array $more = []): array
    {
        $source = $more + [
            'id' => self::newId(), 'title' => 'Tides and Walls', 'kind' => 'book', 'authors' => [['family' => 'Pell', 'given' => 'Anna']],
            'date' => '1994',
        ];
        $this->send(['type' => 'source', 'sources' => [$source]])->assertJsonPath('refused', []);
        $this->cite(['source' => $source['id'], 'pages' => '61']);

        return $source;
    }

    /**
     * The note of “A” cites these together.
     *
     * @param array<string, string> ...$items
     */
    private function cite(array ...$items): void
    {
        $cites = ['type' => 'citation', 'attrs' => ['items' => array_values($items)]];
        $rose = ['type' => 'text', 'text' => 'It rose '];
        $block = ['type' => 'paragraph', 'attrs' => ['id' => self::newId()], 'content' => [$rose, $cites]];
        $this->send(['type' => 'note', 'topic' => $this->id('A'), 'put' => [$block], 'remove' => [], 'order' => null, 'was' => []])
            ->assertJsonPath('refused', []);
    }

    private function docx(string $more = ''): string
    {
        return $this->get($this->at("hand-over/file?format=docx{$more}"))->assertOk()->streamedContent();
    }

    private static function body(string $docx): string
    {
        return Package::parts($docx)['word/document.xml'];
    }

    private function arrived(string $docx): string
    {
        $upload = UploadedFile::fake()->createWithContent('draft.docx', $docx);

        return $this->post('/intake/files', ['file' => $upload], ['Accept' => 'application/json'])->assertOk()->json('token');
    }

    public function testADraftHasItsListAsTheStyleSetsItInTheWordsOfItsLanguage(): void
    {
        $this->cited();
        $this->send(['type' => 'plan', 'set' => ['citation_style' => 'ieee']])->assertJsonPath('refused', []);
        self::assertStringContainsString('[1]</w:t><w:tab/>', self::body($this->docx()));
        self::assertStringContainsString('w:left="567" w:hanging="567"', self::body($this->docx()));

        $this->send(['type' => 'plan', 'set' => ['citation_style' => 'elsevier-harvard']]);
        self::assertStringContainsString('(Pell, 1994, p. 61)', strip_tags(self::body($this->docx())));
        $this->send(['type' => 'plan', 'set' => ['language' => 'de']])->assertJsonPath('refused', []);
        self::assertStringContainsString('(Pell, 1994, S. 61)', strip_tags(self::body($this->docx())));
        $this->getJson($this->at('citation-styles/elsevier-harvard'))->assertJsonPath('citations.0', '(Pell, 1994, S. 61–63)');
    }

    public function testADraftIsPrintedAsAStyleOfOnesOwnAsks(): void
    {
        $cites = '<citation collapse="year-suffix-ranged" disambiguate-add-year-suffix="true"><layout prefix="(" suffix=")" delimiter="; ">'
            . '<group delimiter=" "><names variable="author"><name form="short"/></names><date variable="issued"><date-part name="year"/></date>'
            . '</group></layout></citation><bibliography>';
        $doi = '<text variable="DOI" strip-periods="true" prefix=", "/>';
        $xml = (string) preg_replace('/<citation>.*<bibliography>/', $cites, self::style('Low Shores', $doi));
        $key = (string) $this->take($xml)->assertOk()->json('key');
        $this->send(['type' => 'plan', 'set' => ['citation_style' => $key]])->assertJsonPath('refused', []);
        $sources = array_map(fn(string $title): array => [
            'id' => self::newId(), 'title' => $title, 'kind' => 'book', 'authors' => [['family' => 'Pell', 'given' => 'Anna']],
            'date' => '1994', 'doi' => '10.5555/tn.1',
        ], ['Banks', 'Creeks', 'Mud', 'Silt']);
        $this->send(['type' => 'source', 'sources' => $sources])->assertJsonPath('refused', []);
        $this->cite(...array_map(static fn(array $source): array => ['source' => $source['id']], $sources));

        $text = strip_tags(self::body($this->docx()));
        self::assertStringContainsString('It rose (Pell 1994a–d)', $text);
        self::assertStringContainsString('~Mud, 10.5555/tn.1!', $text);
    }

    /** Whatever a style may cost, no page fails for it: it is said where another stands in. */
    public function testWhereAStyleTakesTooMuchWorkTheUsualOneStandsInAndItIsSaid(): void
    {
        $key = (string) $this->take(self::style())->assertOk()->json('key');
        $this->cited();
        $this->send(['type' => 'plan', 'set' => ['citation_style' => $key]])->assertJsonPath('refused', []);
        self::assertStringContainsString('It rose {Pell}', strip_tags(self::body($this->docx())));
        $this->getJson($this->at('source-list'))->assertOk()->assertJsonPath('said', '');

        config(['embrel.style.seconds' => 0.0]);
        $says = 'The style of the citations takes too much work on these sources; APA stands in for it.';
        $this->getJson($this->at('source-list'))->assertOk()->assertJsonPath('said', $says);
        self::assertStringContainsString('It rose (Pell, 1994, p. 61)', strip_tags(self::body($this->docx())));
        $this->get($this->at('hand-over/preview?format=docx'))->assertOk()->assertSee($says);
        $this->get($this->at('draft'))->assertOk();
        $this->getJson($this->at("citation-styles/{$key}"))->assertOk();
    }

    public function testADraftCarriesItsCitationsAsFieldsWhereThatIsChosenAndIsTakenInWithThem(): void
    {
        $source = $this->cited([
            'contributors' => ['translator' => [['family' => 'Rook', 'given' => 'Bea']]],
            'details' => ['collection-title' => 'Shores'],
        ]);
        self::assertStringNotContainsString('CSL_CITATION', self::body($this->docx()));
        $file = $this->docx('&citation_fields=1');
        self::assertStringContainsString('ADDIN CSL_CITATION', self::body($file));

        $this->postJson('/intake', ['token' => $this->arrived($file), 'to' => 'new'])->assertSuccessful();
        $row = Plan::query()->latest('created_at')->latest('id')->firstOrFail();
        self::assertNotSame($this->row->id, $row->id);
        $taken = $this->getJson("/plans/{$row->id}/source-list")->json('sources.0.source');
        self::assertEquals($source, $taken);
    }

    public function testACitationThatACoAuthorAddedComesHomeWithItsSource(): void
    {
        $this->cited();
        $parts = Package::parts($this->docx('&citation_fields=1'));
        $field = '<w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText xml:space="preserve"> ADDIN CSL_CITATION {"citationItems":[{"id":7,'
            . '"itemData":{"id":7,"type":"book","title":"Mud","author":[{"family":"Moor","given":"Ada"}]}}]} </w:instrText></w:r>'
            . '<w:r><w:fldChar w:fldCharType="separate"/></w:r><w:r><w:t>(Moor)</w:t></w:r><w:r><w:fldChar w:fldCharType="end"/></w:r>';
        // Behind the first citation that stands there.
        $end = '<w:r><w:fldChar w:fldCharType="end"/></w:r>';
        $at = (int) strpos($parts['word/document.xml'], $end, (int) strpos($parts['word/document.xml'], 'CSL_CITATION')) + \strlen($end);
        $parts['word/document.xml'] = substr_replace($parts['word/document.xml'], $field, $at, 0);
        $token = $this->arrived(Package::zip($parts));
        $changes = $this->postJson($this->at('way-back'), ['token' => $token])->assertOk()->json('changes');
        self::assertSame(['rewritten'], array_column($changes, 'kind'));
        $this->postJson($this->at('way-back/accept'), ['token' => $token, 'keys' => array_column($changes, 'key')])->assertOk();

        $sources = $this->getJson($this->at('source-list'))->json('sources');
        self::assertEqualsCanonicalizing(['Tides and Walls', 'Mud'], array_column(array_column($sources, 'source'), 'title'));
        self::assertSame([[$this->id('A') => 1], [$this->id('A') => 1]], array_column($sources, 'cited'));
        $this->step('undo')->assertOk();
        self::assertCount(1, $this->getJson($this->at('source-list'))->json('sources'));
    }

    public function testItGoesAlongWithTheWholePlanAndWithAllThatIsOnesOwn(): void
    {
        $this->source();
        $key = $this->take(self::style())->json('key');
        $this->send(['type' => 'plan', 'set' => ['citation_style' => $key]]);
        $lines = tmpfile() ?: throw new \RuntimeException('No file.');
        app(WholePlan::class)->write($this->row->refresh(), $this->user, $lines, static fn(string $hash): string => $hash);
        rewind($lines);
        $text = (string) stream_get_contents($lines);
        // As on another host, where nobody has it.
        foreach (['plan_style_files', 'kept_style_files', 'style_files'] as $table) {
            DB::table($table)->delete();
        }
        $other = $this->account('bea');
        $row = app(WholePlan::class)->read(explode("\n", trim($text)), $other, static fn(): ?string => null);

        self::assertSame([$key => 'Low Shores'], CitationStyles::ofPlan($row));
        self::assertSame([], CitationStyles::of($other), 'It is the plan’s, until somebody keeps it.');
    }

    private function at(string $what): string
    {
        return "/plans/{$this->row->id}/{$what}";
    }

    /** Of the processor's time, or of memory. */
    public function testAStyleIsGivenUpByItsWorkAndByItsMemory(): void
    {
        $isGivenUp = static function (StyleEffort $effort, callable $does): bool {
            try {
                $does($effort);
            } catch (CslError) {
                return true;
            }

            return false;
        };
        $endless = static function (StyleEffort $effort): never {
            for (;;) {
                $effort->goesOn();
            }
        };
        self::assertTrue($isGivenUp(new StyleEffort(0.01, 1 << 30), $endless));
        $fills = static function (StyleEffort $effort): void {
            $held = str_repeat('x', 2 << 20);
            $effort->goesOn();
            self::assertNotSame('', $held);
        };
        self::assertTrue($isGivenUp(new StyleEffort(1000.0, 1 << 20), $fills));
        self::assertFalse($isGivenUp(new StyleEffort(1000.0, 1 << 30), $fills));
    }
}
