<?php

declare(strict_types=1);

namespace Embrel\Intake;

use Embrel\Document\Reading;
use Embrel\Words;

/** What leads to a text and is none, and was not taken in: how much of it stood where. */
final class LeftOut
{
    /** What is said of each kind. */
    private const SAID = [
        'the contents list' => Reading::NO_CONTENTS,
        'what leads around the site' => 'What leads around the pages of a site was left out.',
    ];

    /** @var list<array{what: string, after: string, words: int, text: string}> in the order in which it stood */
    public array $all = [];

    /**
     * @param string $after the title of the topic in whose text it stood; empty: at the beginning
     *
     * @return string|null the sentence that says so, the first time that something of its kind is left out
     */
    public function add(string $what, string $after, string $text): ?string
    {
        $isNew = !\in_array($what, array_column($this->all, 'what'), true);
        $last = array_pop($this->all);
        if ($last !== null && [$last['what'], $last['after']] === [$what, $after]) {
            $text = "{$last['text']}\n{$text}";
        } elseif ($last !== null) {
            $this->all[] = $last;
        }
        $this->all[] = ['what' => $what, 'after' => $after, 'words' => Words::in($text), 'text' => $text];

        return $isNew ? self::SAID[$what] ?? ucfirst($what) . ' was left out.' : null;
    }
}
