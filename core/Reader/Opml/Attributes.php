<?php

declare(strict_types=1);

namespace Embrel\Reader\Opml;

use Embrel\Intake\Growing;
use Embrel\Limits;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Topic;
use Embrel\Plan\TopicForm;
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
    private const OWN = ['kind', 'numbered', 'dye', 'flag', 'target', 'size', 'alone', 'spot'];

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
        $fields = array_intersect_key($own, array_flip(self::OWN));
        $kept = $this->kept($foreign);

        return function (Topic $topic) use ($fields, $kept): Topic {
            foreach ($fields as $name => $value) {
                try {
                    $form = TopicForm::topic(
                        new Shape(['id' => $topic->id, $name => $name === 'target' ? (int) $value : $value], 'outline'),
                    );
                    $topic = $topic->with([$name => get_object_vars($form)[$name]]);
                } catch (InvalidValue) {
                    $this->growing->repaired("A value of “{$name}” was not one that we know, and was left out.");
                }
            }

            return $kept === [] ? $topic : $topic->with(['foreign' => $kept]);
        };
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
