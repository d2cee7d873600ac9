<?php

declare(strict_types=1);

namespace Embrel\Reader\Opml;

use Embrel\Intake\Growing;
use Embrel\Limits;
use Embrel\Plan\Field;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Label;
use Embrel\Plan\Topic;
use Embrel\Reader\Unreadable;
use Embrel\RichText\InvalidNote;
use Embrel\RichText\Node;
use Embrel\RichText\Note;
use Embrel\RichText\Schema;
use Embrel\Shape;
use Embrel\Writer\Opml\OpmlWriter;

/** What the attributes of one outline element say. */
final class Attributes
{
    public function __construct(private readonly Growing $growing, private readonly bool $descriptions) {}

    /**
     * @param \Closure(): int $line of the element; dear to find, so asked only for an error
     *
     * @return array{title: string, note: list<Node>, loose: bool, dress: \Closure(Topic): Topic, id: string} `id`: the one it had, where a note refers to it
     */
    public function of(\XMLReader $xml, \Closure $line): array
    {
        $own = [];
        $foreign = [];
        while ($xml->moveToNextAttribute()) {
            if (\strlen($xml->value) > Limits::NOTE) {
                $xml->moveToElement();

                throw Unreadable::valueTooLong($line());
            }
            if ($xml->namespaceURI === OpmlWriter::NAMESPACE) {
                $own[$xml->localName] = $xml->value;
            } elseif ($xml->namespaceURI === '') {
                $foreign[$xml->name] = $xml->value;
            } elseif ($xml->namespaceURI !== 'http://www.w3.org/2000/xmlns/') {
                $foreign["{{$xml->namespaceURI}}{$xml->name}"] = $xml->value;
            }
        }
        $xml->moveToElement();
        $title = $foreign['text'] ?? ($foreign['title'] ?? '');
        $note = $this->note($own, $foreign);
        unset($foreign['text'], $foreign['_note']);
        if ($this->descriptions) {
            unset($foreign['description']);
        }

        return [
            'title' => $title,
            'note' => $note,
            'loose' => ($own['loose'] ?? '') === 'true',
            'dress' => $this->dress($own, $foreign),
            'id' => $own['id'] ?? '',
        ];
    }

    /**
     * @param array<string, string> $own
     * @param array<string, string> $foreign
     *
     * @return list<Node>
     */
    private function note(array $own, array $foreign): array
    {
        $whole = isset($own['note']) ? $this->ownNote($own['note']) : null;
        if ($whole !== null) {
            return $whole;
        }
        $text = $foreign['_note'] ?? '';
        if (trim($text) === '' && $this->descriptions) {
            $text = $foreign['description'] ?? '';
        }

        return self::paragraphs($text);
    }

    /** @return list<Node> a paragraph for each line that is not blank */
    private static function paragraphs(string $text): array
    {
        $blocks = [];
        foreach (explode("\n", str_replace(["\r\n", "\r"], "\n", $text)) as $line) {
            $line = trim(\Embrel\RichText\Text::cleaned($line));
            if ($line !== '') {
                $blocks[] = Node::plain($line);
            }
        }

        return $blocks;
    }

    /** @return list<Node>|null null, and said, when it does not fit the schema */
    public function ownNote(string $json): ?array
    {
        try {
            $decoded = json_decode($json, true, 256);
            $blocks = array_map(Schema::block(...), \is_array($decoded) ? array_values($decoded) : [null]);

            return array_values(Note::of($blocks)->blocks);
        } catch (InvalidNote) {
            $this->growing->repaired('A note was damaged; its plain text was taken instead.');

            return null;
        }
    }

    /**
     * @param array<string, string> $own
     * @param array<string, string> $foreign
     *
     * @return \Closure(Topic): Topic
     */
    private function dress(array $own, array $foreign): \Closure
    {
        $labels = [];
        if (isset($foreign['category'])) {
            [$labels, $foreign['category']] = self::categories($foreign['category']);
            if ($foreign['category'] === '') {
                unset($foreign['category']);
            }
        }
        $kept = $this->kept($foreign);

        return function (Topic $topic) use ($own, $kept, $labels): Topic {
            foreach (Field::cases() as $field) {
                $value = $field->isInOutlines() ? $own[$field->value] ?? null : null;
                if ($value === null) {
                    continue;
                }
                try {
                    $form = new Shape([$field->value => $field === Field::Target ? (int) $value : $value], 'outline');
                    $topic = $topic->with([$field->value => $field->read($form)]);
                } catch (InvalidValue) {
                    $this->growing->repaired("A value of “{$field->value}” was not one that we know, and was left out.");
                }
            }

            return $topic->with(['foreign' => $kept, 'labels' => $labels]);
        };
    }

    /**
     * The categories of an outline element (OPML 2.0: divided by commas): a word is a label; a path, with a slash before it, is
     * kept as it is, as is what is no label.
     *
     * @return array{list<string>, string}
     */
    private static function categories(string $text): array
    {
        $labels = $others = [];
        foreach (array_filter(array_map(trim(...), explode(',', $text)), static fn(string $one): bool => $one !== '') as $one) {
            $label = $one[0] === '/' ? [] : Label::inText($one);
            if ($label === [] || \count($labels) >= Label::MOST) {
                $others[] = $one;
            } else {
                $labels[] = $label[0];
            }
        }

        return [Label::names($labels), implode(',', $others)];
    }

    /**
     * @param array<string, string> $foreign
     *
     * @return array<string, string> as much as may be kept
     */
    private function kept(array $foreign): array
    {
        $kept = [];
        $bytes = 0;
        foreach ($foreign as $name => $value) {
            $bytes += \strlen($name) + \strlen($value);
            if (\count($kept) >= Limits::FOREIGN || $bytes > Limits::FOREIGN_BYTES) {
                $this->growing->repaired('A topic had more foreign attributes than are kept; the last of them were left out.');
                break;
            }
            $kept[$name] = $value;
        }

        return $kept;
    }
}
