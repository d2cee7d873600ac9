<?php

declare(strict_types=1);

namespace Embrel\Prompt\Drafting;

/**
 * What holds a first draft together until its writer has found words of their own: openings, ends, transitions, and what
 * introduces a quotation; in English and German. What comes from the plan stands behind a colon or at the end, so that
 * it need not be bent. Nothing here names a thing, a person or a number.
 */
final class Frames
{
    /** {t}: a title, {a}: an author, {s}: titles of sections. */
    private const TABLE = [
        'en' => [
            'ask' => ['This section asks: {t}'],
            'claim' => ['This section makes one claim: {t}'],
            'about' => ['This section is about one thing: {t}.'],
            'parts' => ['It has these parts: {s}.'],
            'back ask' => ['So back to the question: {t}'],
            'back claim' => ['All this bears on the claim: {t}'],
            'back about' => ['Which leads back to the beginning: {t}.'],
            'quoted' => ['In the words of {a}:', '{a} puts it like this:', 'On this {a} writes:'],
            'quoted by nobody' => ['In the words of a source that is still to be named:'],
            'first' => ['First:', 'To begin with:'],
            'addition' => ['There is also this:', 'To this is added:', 'Further:'],
            'cause' => ['The reason for this:', 'Behind this stands:', 'It comes of this:'],
            'effect' => ['What follows from it:', 'So it comes to this:', 'The effect of it:'],
            'contrast' => ['On the other hand:', 'Against this stands:', 'But:'],
            'example' => ['An example:', 'One case of it:', 'To take one case:'],
            'sequence' => ['Then:', 'After that:', 'Next:'],
            'last' => ['And finally:', 'Last comes this:'],
            'and' => ['and'],
        ],
        'de' => [
            'ask' => ['Dieser Abschnitt fragt: {t}'],
            'claim' => ['Dieser Abschnitt behauptet eines: {t}'],
            'about' => ['Darum geht es in diesem Abschnitt: {t}.'],
            'parts' => ['Dazu gehören: {s}.'],
            'back ask' => ['Damit zurück zur Frage: {t}'],
            'back claim' => ['All das gehört zu der Behauptung: {t}'],
            'back about' => ['Das führt zurück zum Anfang: {t}.'],
            'quoted' => ['Mit den Worten von {a}:', '{a} sagt es so:', 'Dazu schreibt {a}:'],
            'quoted by nobody' => ['Mit den Worten einer Quelle, die noch zu nennen ist:'],
            'first' => ['Zuerst:', 'Zunächst:'],
            'addition' => ['Hinzu kommt:', 'Auch das gehört dazu:', 'Außerdem:'],
            'cause' => ['Der Grund dafür:', 'Dahinter steht:', 'Das kommt daher:'],
            'effect' => ['Daraus folgt:', 'So kommt es dazu:', 'Die Folge davon:'],
            'contrast' => ['Auf der anderen Seite:', 'Dagegen steht:', 'Aber:'],
            'example' => ['Ein Beispiel:', 'Ein Fall davon:', 'Um einen Fall zu nennen:'],
            'sequence' => ['Dann:', 'Danach:', 'Als Nächstes:'],
            'last' => ['Und schließlich:', 'Als Letztes:'],
            'and' => ['und'],
        ],
    ];

    /** @var array<string, int> how often each was said */
    private array $said = [];

    /** @param array<string, list<string>> $frames */
    private function __construct(private readonly array $frames) {}

    /** @return self|null null: there are none in this language, and what the plan has stands by itself */
    public static function of(string $language): ?self
    {
        $primary = strtolower(explode('-', $language)[0]);

        return isset(self::TABLE[$primary]) ? new self(self::TABLE[$primary]) : null;
    }

    /**
     * The same thing is said in other words the next time.
     *
     * @param array<string, string> $with {t}, {a}, {s} → what stands there
     */
    public function say(string $what, array $with = []): string
    {
        $frames = $this->frames[$what];
        $this->said[$what] = ($this->said[$what] ?? -1) + 1;

        return strtr($frames[$this->said[$what] % \count($frames)], $with);
    }

    /** @return list<string> all that is ever said, with what is put in left out */
    public static function words(): array
    {
        $words = [];
        foreach (self::TABLE as $frames) {
            foreach ($frames as $forms) {
                array_push(
                    $words,
                    ...preg_split('/[^\p{L}]+/u', strtr(implode(' ', $forms), ['{t}' => '', '{a}' => '', '{s}' => ''])) ?: [],
                );
            }
        }

        return array_values(array_unique(array_filter($words, static fn(string $word): bool => $word !== '')));
    }
}
