<?php

declare(strict_types=1);

namespace Embrel\RichText;

use Embrel\Id\Ulid;
use Embrel\Limits;

/**
 * What may stand in a note, and the one place where that is checked: decoding is checking. What
 * the schema does not know is refused. Written down in docs/note-schema.md.
 */
final class Schema
{
    public const VERSION = 1;

    private const INLINE = [NodeType::Text, NodeType::HardBreak, NodeType::Footnote, NodeType::Citation, NodeType::TopicRef];
    /** What stands at the top of a note, or within a list, a quotation or a cell. */
    public const BLOCK = [
        NodeType::Paragraph,
        NodeType::Heading,
        NodeType::BulletList,
        NodeType::OrderedList,
        NodeType::TaskList,
        NodeType::Blockquote,
        NodeType::Picture,
        NodeType::Table,
        NodeType::CodeBlock,
        NodeType::HorizontalRule,
        NodeType::Question,
    ];
    /** Node → what it may hold; `+` at the end: at least one. */
    private const CONTENT = [
        'paragraph' => 'inline',
        'heading' => 'inline',
        'footnote' => 'plainInline',
        'codeBlock' => 'text',
        'question' => 'text',
        'bulletList' => 'listItem+',
        'orderedList' => 'listItem+',
        'taskList' => 'taskItem+',
        'listItem' => 'block+',
        'taskItem' => 'block+',
        'blockquote' => 'block+',
        'table' => 'tableRow+',
        'tableRow' => 'cell+',
        'tableCell' => 'block+',
        'tableHeader' => 'block+',
    ];
    /** Node → attribute → what it must be; `?` at the end: may be missing or null. */
    private const ATTRS = [
        'heading' => ['level' => '1..3'],
        'orderedList' => ['start' => 'number?'],
        'taskItem' => ['checked' => 'bool?'],
        'picture' => [
            'picture' => 'picture?',
            'src' => 'url?',
            'href' => 'url?',
            'width' => 'number?',
            'caption' => 'text?',
            'alt' => 'text?',
        ],
        'citation' => ['items' => 'citations'],
        'topicRef' => ['topic' => 'id'],
    ];
    private const SAFE_LINK = '/\A(?:https?:\/\/|mailto:|tel:|#)[^\s<>"\x00-\x1f]+\z/iu';

    public static function isInline(NodeType $type): bool
    {
        return \in_array($type, self::INLINE, true);
    }

    /** Whether an address may be followed: the web, mail, telephone, or a place in the same document. */
    public static function isSafeLink(string $href): bool
    {
        return \strlen($href) <= 4096 && preg_match(self::SAFE_LINK, $href) === 1;
    }

    /**
     * A top-level block out of decoded JSON; it must carry an id.
     *
     * @throws InvalidNote naming the place of what does not fit
     */
    public static function block(mixed $json): Node
    {
        $node = self::node($json, 'block', 'note', 0);

        return $node->id() === null ? throw InvalidNote::missingId($node->type) : $node;
    }

    /**
     * An inline that stands alone, such as a citation.
     *
     * @throws InvalidNote
     */
    public static function inline(mixed $json): Node
    {
        return self::node($json, 'inline', 'note', 1);
    }

    private static function node(mixed $json, string $expected, string $path, int $depth): Node
    {
        if ($depth > Limits::NOTE_DEPTH) {
            throw InvalidNote::tooDeep();
        }
        $name = \is_array($json) ? $json['type'] ?? null : null;
        $type = \is_string($name) ? NodeType::tryFrom($name) : null;
        if (!\is_array($json) || $type === null || !self::allows($expected, $type, $depth)) {
            throw InvalidNote::unknown(\is_string($name) ? $name : get_debug_type($json), $path);
        }
        $path .= '/' . $type->value;
        if (array_diff_key($json, ['type' => 1, 'attrs' => 1, 'content' => 1, 'text' => 1, 'marks' => 1]) !== []) {
            throw InvalidNote::unknown('a field', $path);
        }
        if ($type === NodeType::Text) {
            return self::textRun($json, $path, $expected);
        }

        return new Node(
            $type,
            self::attrs($type, $json['attrs'] ?? [], $path, $depth),
            self::content($type, $json['content'] ?? [], $path, $depth),
        );
    }

    private static function allows(string $expected, NodeType $type, int $depth): bool
    {
        return match ($expected) {
            // A question stands alone: within a list or a table nobody would see what it asks of.
            'block' => \in_array($type, self::BLOCK, true) && ($type !== NodeType::Question || $depth === 0),
            'inline' => self::isInline($type),
            'plainInline' => self::isInline($type) && $type !== NodeType::Footnote,
            'cell' => $type === NodeType::TableCell || $type === NodeType::TableHeader,
            default => $type->value === $expected,
        };
    }

    /** @return list<Node> */
    private static function content(NodeType $type, mixed $json, string $path, int $depth): array
    {
        $rule = self::CONTENT[$type->value] ?? '';
        if (!\is_array($json) || !array_is_list($json) || ($json !== [] && $rule === '')) {
            throw InvalidNote::unknown('content', $path);
        }
        if ($json === [] && str_ends_with($rule, '+')) {
            throw InvalidNote::empty($path);
        }
        $expected = rtrim($rule, '+');
        $nodes = [];
        foreach ($json as $child) {
            $nodes[] = self::node($child, $expected, $path, $depth + 1);
        }

        return $nodes;
    }

    /** @param array<array-key, mixed> $json */
    private static function textRun(array $json, string $path, string $expected): Node
    {
        $text = $json['text'] ?? null;
        if (!\is_string($text) || $text === '' || !mb_check_encoding($text, 'UTF-8')) {
            throw InvalidNote::unknown('a text that is empty or not UTF-8', $path);
        }
        $marks = [];
        $given = $json['marks'] ?? [];
        foreach (\is_array($given) ? $given : [null] as $mark) {
            $marks[] = self::mark($mark, $path);
        }
        if ($marks !== [] && $expected === 'text') {
            throw InvalidNote::unknown('a mark in code', $path);
        }

        return Node::text(Text::cleaned($text), $marks);
    }

    private static function mark(mixed $json, string $path): Mark
    {
        $name = \is_array($json) ? $json['type'] ?? null : null;
        $type = \is_string($name) ? MarkType::tryFrom($name) : null;
        if (!\is_array($json) || $type === null) {
            throw InvalidNote::unknown(\is_string($name) ? $name : 'a mark', $path);
        }
        if ($type !== MarkType::Link) {
            return new Mark($type);
        }
        $href = \is_array($json['attrs'] ?? null) ? $json['attrs']['href'] ?? null : null;
        if (!\is_string($href) || !self::isSafeLink($href)) {
            throw InvalidNote::unsafeLink($path);
        }

        return new Mark(MarkType::Link, ['href' => $href]);
    }

    /** @return array<string, mixed> */
    private static function attrs(NodeType $type, mixed $json, string $path, int $depth): array
    {
        if (!\is_array($json)) {
            throw InvalidNote::unknown('attributes', $path);
        }
        $rules = self::ATTRS[$type->value] ?? [];
        $out = [];
        foreach ($json as $name => $value) {
            if ($value === null) {
                continue;
            }
            $rule = $name === 'id' ? 'id' : $rules[$name] ?? null;
            if (!\is_string($name) || $rule === null || !self::isOfKind(rtrim($rule, '?'), $value)) {
                throw InvalidNote::unknown("the attribute {$name}", $path);
            }
            // Only top-level blocks have an identity: an editor may put one elsewhere, which says nothing.
            if ($name !== 'id' || $depth === 0) {
                $out[$name] = $value;
            }
        }
        foreach ($rules as $name => $rule) {
            if (!str_ends_with($rule, '?') && !isset($out[$name])) {
                throw InvalidNote::unknown("no attribute {$name}", $path);
            }
        }

        return $out;
    }

    private static function isOfKind(string $kind, mixed $value): bool
    {
        return match ($kind) {
            'id' => \is_string($value) && Ulid::isValid($value),
            'picture' => \is_string($value) && preg_match('/\A[0-9a-f]{64}\z/', $value) === 1,
            'number' => \is_int($value) && $value >= 0 && $value <= 1_000_000,
            '1..3' => \is_int($value) && $value >= 1 && $value <= 3,
            'bool' => \is_bool($value),
            'text' => \is_string($value) && mb_check_encoding($value, 'UTF-8') && \strlen($value) <= 8192,
            'url' => \is_string($value) && self::isSafeLink($value),
            'citations' => self::areCitations($value),
            default => false,
        };
    }

    /** Each item: source id, and texts for pages, prefix and suffix, and whether the author is left out. */
    private static function areCitations(mixed $items): bool
    {
        if (!\is_array($items) || !array_is_list($items) || $items === [] || \count($items) > 100) {
            return false;
        }
        foreach ($items as $item) {
            if (!\is_array($item) || !self::isOfKind('id', $item['source'] ?? null)) {
                return false;
            }
            foreach ($item as $name => $value) {
                $fits = match ($name) {
                    'source' => true,
                    'pages', 'prefix', 'suffix' => self::isOfKind('text', $value),
                    'withoutAuthor' => \is_bool($value),
                    default => false,
                };
                if (!$fits) {
                    return false;
                }
            }
        }

        return true;
    }
}
