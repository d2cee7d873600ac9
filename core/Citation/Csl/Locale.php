<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** Words, dates and ways of a language: several <locale> elements laid over one another, the last one on top. */
final class Locale
{
    /** The form of a month that no day stands beside: ours, for which the standard has no word. */
    public const ALONE = 'alone';

    /** A form that is missing → the one that stands for it. */
    private const ELSE = ['verb-short' => 'verb', 'verb' => 'long', 'symbol' => 'short', 'short' => 'long'];

    /** @var array<string, array<string, array{string, string}>> term → form → one, several */
    private array $terms = [];

    /** @var array<string, string> term → gender */
    private array $genders = [];

    /** @var array<string, array{string, string}> ordinal key (with a gender before it) → text, match */
    private array $ordinals = [];

    /** @var array<string, list<array<string, string>>> form → attributes of its parts, with those of the date under “date” */
    public array $dates = [];

    /** @var array<string, string> */
    public array $dateDelimiters = [];

    /** Whether stops and commas go within quotation marks. */
    public bool $inside = false;

    public bool $ordinalsOnTheFirstOnly = false;

    /** @var array{string, string, string, string} */
    public array $quotes = ['“', '”', '‘', '’'];

    public function __construct(public readonly string $language) {}

    public function lay(\DOMElement $locale): void
    {
        $hasOrdinals = false;
        // Ordinals come together: a table without the general one is of no use.
        $isWhole = $this->ordinals === [] || array_filter(
            iterator_to_array($locale->getElementsByTagName('term')),
            static fn(\DOMElement $term): bool => $term->getAttribute('name') === 'ordinal',
        ) !== [];
        foreach (StyleReader::children($locale) as $child) {
            if ($child->localName === 'style-options') {
                if ($child->hasAttribute('punctuation-in-quote')) {
                    $this->inside = $child->getAttribute('punctuation-in-quote') === 'true';
                }
                if ($child->hasAttribute('limit-day-ordinals-to-day-1')) {
                    $this->ordinalsOnTheFirstOnly = $child->getAttribute('limit-day-ordinals-to-day-1') === 'true';
                }
            } elseif ($child->localName === 'date') {
                $form = $child->getAttribute('form');
                $this->dateDelimiters[$form] = $child->getAttribute('delimiter');
                $this->dates[$form] = array_map(StyleReader::attributes(...), StyleReader::children($child));
            } elseif ($child->localName === 'terms') {
                foreach (StyleReader::children($child) as $term) {
                    $isOrdinal = preg_match('/\Aordinal(-\d\d)?\z/', $term->getAttribute('name')) === 1;
                    if ($isOrdinal && !$isWhole) {
                        continue;
                    }
                    if (!$hasOrdinals && $isOrdinal) {
                        $hasOrdinals = true;
                        $this->ordinals = [];
                    }
                    $this->term($term);
                }
            }
        }
        $this->quotes = [
            $this->say('open-quote') ?? '“',
            $this->say('close-quote') ?? '”',
            $this->say('open-inner-quote') ?? '‘',
            $this->say('close-inner-quote') ?? '’',
        ];
    }

    private function term(\DOMElement $term): void
    {
        $name = $term->getAttribute('name');
        $one = $several = null;
        foreach (StyleReader::children($term) as $child) {
            if ($child->localName === 'single') {
                $one = Rich::raised(Rich::clean($child->textContent));
            } elseif ($child->localName === 'multiple') {
                $several = Rich::raised(Rich::clean($child->textContent));
            }
        }
        $one ??= $several ?? Rich::raised(Rich::clean($term->textContent));
        if (preg_match('/\Aordinal(?:-(\d\d))?\z/', $name, $m) === 1) {
            $this->ordinals[$term->getAttribute('gender-form') . ($m[1] ?? '')] = [$one, $term->getAttribute('match')];

            return;
        }
        $form = $term->getAttribute('form') ?: 'long';
        if ($term->hasAttribute('gender')) {
            $this->genders[$name] = $term->getAttribute('gender');
        }
        $gender = $term->getAttribute('gender-form');
        $this->terms[$gender === '' ? $name : "{$name}\t{$gender}"][$form] = [$one, $several ?? $one];
    }

    public function say(string $term, string $form = 'long', bool $several = false): ?string
    {
        $forms = $this->terms[$term] ?? null;
        if ($forms === null) {
            return null;
        }
        while (!isset($forms[$form])) {
            if (!isset(self::ELSE[$form])) {
                return null;
            }
            $form = self::ELSE[$form];
        }

        return $forms[$form][$several ? 1 : 0];
    }

    public function gender(string $term): string
    {
        return $this->genders[$term] ?? '';
    }

    /** 2nd, 3e: the number with what follows it. */
    public function ordinal(int $number, string $gender = ''): string
    {
        return $number . $this->ending(abs($number), $gender);
    }

    private function ending(int $number, string $gender): string
    {
        foreach ($gender === '' ? [''] : [$gender, ''] as $g) {
            $two = $number % 100;
            $keys = [[$two, $number < 100 ? '' : 'two'], [$two % 10, 'one']];
            foreach ($keys as $n => [$digits, $_]) {
                $key = $g . sprintf('%02d', $digits);
                if (!isset($this->ordinals[$key])) {
                    continue;
                }
                $match = $this->ordinals[$key][1] ?: ($digits < 10 ? 'last-digit' : 'last-two-digits');
                $fits = match ($match) {
                    'whole-number' => $number === $digits,
                    'last-two-digits' => $two === $digits,
                    default => $number % 10 === $digits,
                };
                if ($fits) {
                    return $this->ordinals[$key][0];
                }
            }
            if (isset($this->ordinals[$g])) {
                return $this->ordinals[$g][0];
            }
        }

        // A language that has them by gender alone, and a word without one.
        return $this->ordinals['feminine'][0] ?? $this->ordinals['masculine'][0] ?? '';
    }

    /** third; from eleven on as with digits. */
    public function longOrdinal(int $number, string $gender = ''): string
    {
        $name = sprintf('long-ordinal-%02d', $number);

        $said = $gender === '' ? null : $this->say("{$name}\t{$gender}");

        return $said ?? ($number <= 10 ? $this->say($name) : null) ?? $this->ordinal($number, $gender);
    }
}
