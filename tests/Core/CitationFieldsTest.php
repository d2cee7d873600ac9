<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Citation\SourceForm;
use Embrel\Draft\Choices;
use Embrel\Draft\DraftChoices;
use Embrel\Id\CountedIds;
use Embrel\Intake\Options;
use Embrel\Intake\Result;
use Embrel\Intake\WayBack\Acceptance;
use Embrel\Intake\WayBack\Change;
use Embrel\Intake\WayBack\Comparison;
use Embrel\Plan\Plan;
use Embrel\Reader\Format as Reading;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\Writer\Format;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Folder;
use Tests\Core\Build\Library;
use Tests\Core\Build\Package;

/** Citations that documents carry as CSL-JSON: written, and read from files of ours and of others. */
final class CitationFieldsTest extends TestCase
{
    use Folder;

    private function read(Format $format, string $style, ?Plan $plan = null): Result
    {
        $out = Build::stream('');
        $choices = new Choices(draft: new DraftChoices(headingDepth: 9, marks: true, citationFields: true));
        $format->writer()->write($plan ?? Library::plan($style), $choices, $out, $this->folder);
        rewind($out);

        $reading = $format === Format::Docx ? Reading::Docx : Reading::Odt;

        return Build::intake($reading, $out, new Options('', references: false), new CountedIds('07'));
    }

    /** @return list<mixed> the items of all citations, in reading order */
    private static function citations(Plan $plan): array
    {
        $found = [];
        foreach ($plan->standing() as $id) {
            foreach ($plan->topic($id)->note?->find(NodeType::Citation) ?? [] as $node) {
                $found[] = $node->attrs['items'];
            }
        }

        return $found;
    }

    private static function text(Plan $plan, string $topic): string
    {
        return implode('', array_map(static fn(Node $block): string => $block->plainText(), $plan->topic($topic)->note->blocks ?? []));
    }

    #[DataProvider('formats')]
    public function testADraftComesBackWithItsCitationsAndTheirSources(Format $format, string $style): void
    {
        $plan = Library::plan($style);
        $read = $this->read($format, $style);

        self::assertCount(16, self::citations($read->plan));
        self::assertSame(self::citations($plan), self::citations($read->plan));
        foreach ($plan->sources as $id => $source) {
            self::assertSame(SourceForm::toArray($source), SourceForm::toArray($read->plan->sources[$id]));
        }
        self::assertContains('8 sources came along with the citations of the document.', $read->repairs);
        $said = Build::outline($read->plan);
        foreach ($read->plan->standing() as $id) {
            $said .= self::text($read->plan, $id);
        }
        self::assertStringNotContainsString('Pell', $said, 'Nothing of what was printed is text.');
        self::assertStringContainsString('went lower ; nobody had asked why .', $said);
    }

    #[DataProvider('formats')]
    public function testADraftThatComesHomeUnchangedDiffersInNothing(Format $format, string $style): void
    {
        $plan = Library::plan($style);
        $read = $this->read($format, $style, $plan);

        self::assertSame([], Comparison::of($plan, $read->plan, $read->came)->changes);
    }

    /** A co-author cites a work that the plan has not: it comes home with its source. */
    public function testACitationThatOthersAddedComesHomeWithItsSource(): void
    {
        $plan = Library::plan('apa');
        $all = $plan->sources;
        $read = $this->read(Format::Docx, 'apa', $plan);
        $gone = array_key_last($all);
        $plan = $plan->withSources(array_diff_key($all, [$gone => true]));
        $topic = $plan->topic(Build::id($plan, 'The mud'));
        $plan = $plan->with($topic->withNote(Build::note('Nothing yet.')));
        $comparison = Comparison::of($plan, $read->plan, $read->came);
        $keys = array_map(static fn(Change $change): string => "{$change->kind}-{$change->topic}", $comparison->changes);
        $back = Acceptance::of($comparison, $keys, new CountedIds('07'))->apply($plan);

        self::assertSame(array_keys($all), array_keys($back->sources));
        self::assertSame(SourceForm::toArray($all[$gone]), SourceForm::toArray($back->sources[$gone]));
        self::assertSame(self::citations(Library::plan('apa')), self::citations($back));
    }

    /** @return iterable<string, array{Format, string}> */
    public static function formats(): iterable
    {
        foreach ([Format::Docx, Format::Odt] as $format) {
            yield "{$format->value}, in the text" => [$format, 'apa'];
            yield "{$format->value}, numbers" => [$format, 'ieee'];
            yield "{$format->value}, in notes" => [$format, 'chicago-notes'];
        }
    }

    private static function docx(string $runs): Plan
    {
        $body = '<w:p><w:pPr><w:pStyle w:val="Heading1"/></w:pPr><w:r><w:t>One</w:t></w:r></w:p><w:p><w:r><w:t xml:space="preserve">It rose </w:t></w:r>'
            . "{$runs}<w:r><w:t>.</w:t></w:r></w:p>";

        return Build::intake(Reading::Docx, Build::stream(Package::docx($body)))->plan;
    }

    private static function field(string $instruction, string $result): string
    {
        $mark = static fn(string $kind): string => "<w:r><w:fldChar w:fldCharType=\"{$kind}\"/></w:r>";
        // Word processors cut long instructions into several.
        $pieces = array_map(
            static fn(string $piece): string => "<w:r><w:instrText xml:space=\"preserve\">{$piece}</w:instrText></w:r>",
            array_map(static fn(string $piece): string => htmlspecialchars($piece, ENT_XML1), mb_str_split($instruction, 40)),
        );

        return $mark('begin') . implode('', $pieces) . $mark('separate') . "<w:r><w:t>{$result}</w:t></w:r>" . $mark('end');
    }

    private static function json(string $more = ''): string
    {
        return '{"citationID":"x","citationItems":[{"id":7,"uris":["http://shores.example/items/7"],'
            . '"itemData":{"id":7,"type":"book","title":"Tides <i>and</i> Walls",'
            . '"author":[{"family":"Pell","given":"Anna"}],"issued":{"date-parts":[["1994"]]}},"locator":"3","label":"chapter","prefix":"see "'
            . $more . '}],"schema":"https://example.org/csl-citation.json"}';
    }

    public function testACitationOfAnotherProgramIsASourceAndACitation(): void
    {
        $plan = self::docx(self::field(' ADDIN ANY_ITEM CSL_CITATION ' . self::json() . ' ', '(see Pell 1994)'));
        [$source] = array_values($plan->sources);

        self::assertSame(['Tides and Walls', 'Pell', '1994'], [$source->title, $source->authors[0]->family, $source->date?->stored()]);
        self::assertSame([[['source' => $source->id, 'pages' => 'ch. 3', 'prefix' => 'see']]], self::citations($plan));
        self::assertSame('It rose .', self::text($plan, Build::id($plan, 'One')));
    }

    public function testTheSameWorkIsOneSource(): void
    {
        $field = self::field(' ADDIN CSL_CITATION ' . self::json() . ' ', 'a');

        self::assertCount(1, self::docx($field . $field)->sources);
    }

    #[DataProvider('broken')]
    public function testWhatCannotBeReadStaysTheTextThatItShows(string $instruction): void
    {
        $plan = self::docx(self::field($instruction, '(Pell 1994)'));

        self::assertSame([], $plan->sources);
        self::assertStringContainsString('It rose (Pell 1994).', self::text($plan, Build::id($plan, 'One')));
    }

    /** @return iterable<string, array{string}> */
    public static function broken(): iterable
    {
        yield 'no JSON' => [' ADDIN CSL_CITATION {"citationItems":[ '];
        yield 'no items' => [' ADDIN CSL_CITATION {"citationItems":[]} '];
        yield 'items of another form' => [' ADDIN CSL_CITATION {"citationItems":[7,{"itemData":"x"}]} '];
        yield 'an item without anything' => [' ADDIN CSL_CITATION {"citationItems":[{"id":"a","itemData":{"type":"book"}}]} '];
        yield 'deep' => [' ADDIN CSL_CITATION {"citationItems":' . str_repeat('[', 500) . str_repeat(']', 500) . '} '];
        yield 'another field' => [' ADDIN SOMETHING '];
    }

    public function testTheListThatAnotherProgramMadeIsLeftOut(): void
    {
        $plan = self::docx(self::field(' ADDIN ANY_BIBL {} CSL_BIBLIOGRAPHY ', 'Pell, Anna. Tides and Walls. 1994.'));
        self::assertSame('It rose .', self::text($plan, Build::id($plan, 'One')));
    }

    public function testSuchAListOfManyParagraphsIsLeftOutToItsEnd(): void
    {
        $entries = 'Moor 1998.</w:t></w:r></w:p><w:p><w:r><w:t>Pell 1994.</w:t></w:r></w:p><w:p><w:r><w:t>Reed 2001.';
        $plan = self::docx(self::field(' ADDIN CSL_BIBLIOGRAPHY ', $entries) . '<w:r><w:t> And then it fell</w:t></w:r>');

        $blocks = $plan->topic(Build::id($plan, 'One'))->note->blocks ?? [];
        $texts = array_map(static fn(Node $block): string => $block->plainText(), array_values($blocks));
        self::assertSame(['It rose', 'And then it fell.'], $texts);
    }

    /** A word processor shows the list that is a field, and keeps it one when it saves. */
    #[DataProvider('formats')]
    public function testTheListIsAFieldThatAWordProcessorShowsAndKeeps(Format $format, string $style): void
    {
        $plan = Library::plan($style);
        $choices = new Choices(draft: new DraftChoices(headingDepth: 9, marks: true, citationFields: true));
        $path = $this->written($plan, $format, $choices);
        $plain = new Choices(draft: new DraftChoices(headingDepth: 9, marks: true));
        $without = $this->written($plan, $format, $plain, 'plain');

        self::assertSame(1, self::lists($path));
        self::assertSame(0, self::lists($without));
        $text = file_get_contents($this->made('txt:Text', $path));
        self::assertStringContainsStringIgnoringCase('Tides and walls', (string) $text);
        self::assertSame(file_get_contents($this->made('txt:Text', $without)), $text);
        $saved = $this->made($format->extension(), $path);
        self::assertSame(1, self::lists($saved));
        $stream = fopen($saved, 'r') ?: self::fail();
        $read = Build::intake($format === Format::Docx ? Reading::Docx : Reading::Odt, $stream, new Options('', references: false));
        self::assertContains('The list of references was left out: the plan makes it of its sources.', $read->repairs);
        self::assertSame(self::citations($plan), self::citations($read->plan));
        $said = implode("\n", array_map(static fn(string $id): string => self::text($read->plan, $id), $read->plan->standing()));
        self::assertStringNotContainsStringIgnoringCase('Tides and walls', $said);
    }

    /** How many lists of references are fields in a document. */
    private static function lists(string $path): int
    {
        $zip = new \ZipArchive();
        self::assertTrue($zip->open($path));
        $xml = (string) $zip->getFromName(str_ends_with($path, '.docx') ? 'word/document.xml' : 'content.xml');

        return substr_count($xml, 'CSL_BIBLIOGRAPHY');
    }
}
