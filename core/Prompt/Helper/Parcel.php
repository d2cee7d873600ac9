<?php

declare(strict_types=1);

namespace Embrel\Prompt\Helper;

use Embrel\Plan\Plan;
use Embrel\RichText\Note;

/**
 * What would go out to a helper, piece by piece, so that it can be seen and each piece taken out: the title of the plan, the
 * branch with its titles, and its notes. Nothing else of the plan, and nothing of the person.
 */
final readonly class Parcel
{
    public const TITLE = 'title';
    public const BRANCH = 'branch';
    /** In characters: of one note, and of all. */
    private const NOTE = 4_000;
    private const ALL = 24_000;
    private const TOPICS = 200;

    /**
     * @param array<string, array{called: string, text: string}> $pieces key (title, branch, or the topic of a note) →
     * what it is called, and what goes out of it
     */
    private function __construct(public Wish $wish, private string $language, public array $pieces) {}

    /** @param Plan $plan with the notes of the branch */
    public static function of(Plan $plan, string $topic, Wish $wish): self
    {
        $pieces = [self::TITLE => ['called' => 'Title', 'text' => $plan->title()]];
        $lines = [$topic === Plan::ROOT ? $plan->title() : $plan->topic($topic)->title];
        $notes = self::note($topic, $plan->topic($topic)->note);
        $count = 0;
        foreach ($plan->walk($topic) as $id => $level) {
            if (++$count > self::TOPICS) {
                break;
            }
            $lines[] = str_repeat('  ', $level) . '- ' . $plan->topics[$id]->title;
            $notes += self::note($id, $plan->topics[$id]->note);
        }
        $pieces[self::BRANCH] = ['called' => 'Branch', 'text' => implode("\n", $lines)];
        $left = self::ALL;
        foreach ($notes as $id => $text) {
            $left -= mb_strlen($text);
            if ($left < 0) {
                break;
            }
            $pieces[$id] = ['called' => $id === Plan::ROOT ? 'Opening note' : $plan->topic($id)->title, 'text' => $text];
        }

        return new self($wish, $plan->properties->language, $pieces);
    }

    /** @return array<string, string> */
    private static function note(string $id, ?Note $note): array
    {
        $text = trim($note?->printing()->plainText(true) ?? '');

        return $text === '' ? [] : [$id => mb_strlen($text) > self::NOTE ? mb_substr($text, 0, self::NOTE - 1) . '…' : $text];
    }

    /** @param list<string> $keys of pieces that stay here */
    public function without(array $keys): self
    {
        return new self($this->wish, $this->language, array_diff_key($this->pieces, array_flip($keys)));
    }

    /** What is said beside the pieces: it goes out too. */
    public function instruction(): string
    {
        return "{$this->wish->instruction()} Write in the language “{$this->language}”.";
    }

    /** By which it is known that what goes out is what was shown. */
    public function print(): string
    {
        return hash('sha256', $this->instruction() . "\n" . $this->text());
    }

    /** All pieces as the one text that goes out. */
    public function text(): string
    {
        $parts = [];
        foreach ($this->pieces as $key => ['called' => $called, 'text' => $text]) {
            $parts[] = match ($key) {
                self::TITLE => "Title: {$text}",
                self::BRANCH => "Outline:\n{$text}",
                default => "Note on “{$called}”:\n{$text}",
            };
        }

        return implode("\n\n", $parts);
    }
}
