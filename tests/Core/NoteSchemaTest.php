<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Limits;
use Embrel\RichText\InvalidNote;
use Embrel\RichText\Note;
use Embrel\RichText\Schema;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class NoteSchemaTest extends TestCase
{
    private const ID = '01ARZ3NDEKTSV4RRFFQ69G5FAV';

    /** @return iterable<string, array{string}> one of everything that a note may hold */
    public static function valid(): iterable
    {
        $id = '"attrs":{"id":"' . self::ID . '"}';
        yield 'paragraph with every mark' => [
            '{"type":"paragraph",'
            . $id
            . ',"content":[{"type":"text","text":"a","marks":[{"type":"bold"},{"type":"italic"},{"type":"underline"},{"type":"strike"},{"type":"highlight"},{"type":"link","attrs":{"href":"https://example.org/?a=1&b=2"}}]},{"type":"hardBreak"},{"type":"text","text":"b","marks":[{"type":"superscript"},{"type":"code"}]}]}',
        ];
        yield 'heading' => ['{"type":"heading","attrs":{"id":"' . self::ID . '","level":3},"content":[{"type":"text","text":"h"}]}'];
        yield 'nested lists' => [
            '{"type":"bulletList",'
            . $id
            . ',"content":[{"type":"listItem","content":[{"type":"paragraph"},{"type":"orderedList","attrs":{"start":3},"content":[{"type":"listItem","content":[{"type":"paragraph"}]}]}]}]}',
        ];
        yield 'check list' => [
            '{"type":"taskList",' . $id . ',"content":[{"type":"taskItem","attrs":{"checked":true},"content":[{"type":"paragraph"}]}]}',
        ];
        yield 'quotation' => ['{"type":"blockquote",' . $id . ',"content":[{"type":"paragraph","content":[{"type":"text","text":"q"}]}]}'];
        yield 'picture' => [
            '{"type":"picture","attrs":{"id":"'
            . self::ID
            . '","picture":"'
            . str_repeat('a1', 32)
            . '","width":320,"caption":"c","alt":"a"}}',
        ];
        yield 'table' => [
            '{"type":"table",'
            . $id
            . ',"content":[{"type":"tableRow","content":[{"type":"tableHeader","content":[{"type":"paragraph"}]},{"type":"tableCell","content":[{"type":"paragraph"}]}]}]}',
        ];
        yield 'a question' => ['{"type":"question",' . $id . ',"content":[{"type":"text","text":"What is asked?"}]}'];
        yield 'code and rule' => ['{"type":"codeBlock",' . $id . ',"content":[{"type":"text","text":"x < y"}]}'];
        yield 'footnote, citation, reference' => [
            '{"type":"paragraph",'
            . $id
            . ',"content":[{"type":"footnote","content":[{"type":"text","text":"f"}]},{"type":"citation","attrs":{"items":[{"source":"'
            . self::ID
            . '","pages":"61"}]}},{"type":"topicRef","attrs":{"topic":"'
            . self::ID
            . '"}}]}',
        ];
    }

    #[DataProvider('valid')]
    public function testWhatTheSchemaKnowsComesBackUnchanged(string $json): void
    {
        $decoded = json_decode($json, true, 512, JSON_THROW_ON_ERROR);
        $note = Note::of([Schema::block($decoded)]);
        self::assertEquals($decoded, Note::fromJson($note->toJson())->blocks[self::ID]->toArray());
    }

    /** @return iterable<string, array{string}> */
    public static function invalid(): iterable
    {
        $id = '"attrs":{"id":"' . self::ID . '"}';
        $link = static fn(string $href): string => '{"type":"paragraph",'
            . $id
            . ',"content":[{"type":"text","text":"a","marks":[{"type":"link","attrs":{"href":'
            . json_encode($href)
            . '}}]}]}';
        yield 'no id' => ['{"type":"paragraph"}'];
        yield 'unknown block' => ['{"type":"script",' . $id . '}'];
        yield 'unknown mark' => ['{"type":"paragraph",' . $id . ',"content":[{"type":"text","text":"a","marks":[{"type":"onclick"}]}]}'];
        yield 'unknown attribute' => ['{"type":"paragraph","attrs":{"id":"' . self::ID . '","style":"x"}}'];
        yield 'unknown field' => ['{"type":"paragraph",' . $id . ',"html":"<b>"}'];
        yield 'block within a paragraph' => ['{"type":"paragraph",' . $id . ',"content":[{"type":"paragraph"}]}'];
        yield 'list without items' => ['{"type":"bulletList",' . $id . ',"content":[]}'];
        yield 'a question with a mark' => [
            '{"type":"question",' . $id . ',"content":[{"type":"text","text":"a","marks":[{"type":"bold"}]}]}',
        ];
        yield 'a question within a quotation' => ['{"type":"blockquote",' . $id . ',"content":[{"type":"question"}]}'];
        yield 'heading of level 7' => ['{"type":"heading","attrs":{"id":"' . self::ID . '","level":7}}'];
        yield 'script link' => [$link('javascript:alert(1)')];
        yield 'script link in capitals with a tab' => [$link("JaVa\tScript:alert(1)")];
        yield 'data link' => [$link('data:text/html,<script>')];
        yield 'link with a line feed at the end' => [$link("https://example.org\n")];
        yield 'not even a node' => ['5'];
        yield 'nested without end' => [
            str_repeat('{"type":"blockquote",' . $id . ',"content":[', 60) . '{"type":"paragraph"}' . str_repeat(']}', 60),
        ];
    }

    #[DataProvider('invalid')]
    public function testWhatTheSchemaDoesNotKnowIsRefused(string $json): void
    {
        $this->expectException(InvalidNote::class);
        Schema::block(json_decode($json, true, 512, JSON_THROW_ON_ERROR));
    }

    public function testControlCharactersGoAndTheRestStays(): void
    {
        $block = Schema::block([
            'type' => 'paragraph',
            'attrs' => ['id' => self::ID],
            'content' => [['type' => 'text', 'text' => "a\x00b\x08\u{FFFE}c\td"]],
        ]);
        self::assertSame("abc\td", $block->plainText());
    }

    public function testANoteOverTheLimitIsRefused(): void
    {
        $note = Note::of([\Embrel\RichText\Node::plain(str_repeat('x', Limits::NOTE), self::ID)]);
        $this->expectException(InvalidNote::class);
        $note->toJson();
    }

    public function testTwoBlocksWithOneIdAreRefused(): void
    {
        $this->expectException(InvalidNote::class);
        Note::of([\Embrel\RichText\Node::plain('a', self::ID), \Embrel\RichText\Node::plain('b', self::ID)]);
    }
}
