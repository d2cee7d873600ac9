<?php

declare(strict_types=1);

namespace Embrel\Numbering;

use Embrel\Language\Counter;
use Embrel\Plan\NumberForm;
use Embrel\Plan\Properties;

/** Numbers in forms of the writer's own, one for each level; levels without one carry no number. */
final class Own
{
    /** @var array<int, NumberForm> level from 1 → its form */
    private array $forms = [];

    public function __construct(private readonly Properties $properties)
    {
        foreach ($properties->numberForms as $i => $form) {
            $this->forms[$i + 1] = NumberForm::of($form, $i + 1);
        }
    }

    public function form(int $level): ?NumberForm
    {
        return $this->forms[$level] ?? null;
    }

    /**
     * @param list<int> $counts of each level from the first
     *
     * @return string|null null where the level carries none
     */
    public function write(array $counts): ?string
    {
        $form = $this->form(\count($counts));
        if ($form === null) {
            return null;
        }
        $used = \array_slice($counts, -\count($form->signs));
        $out = $form->texts[0];
        foreach ($form->signs as $i => $sign) {
            $out .= $this->count($sign, $used[$i] ?? 1) . $form->texts[$i + 1];
        }

        return trim($out);
    }

    private function count(string $sign, int $count): string
    {
        return $sign === 'One' ? self::words($count, $this->properties->language) : self::counter($sign)->write($count);
    }

    /** Twenty-one: in the words of a language, or in digits where it has none here. */
    public static function words(int $count, string $language): string
    {
        $words = (new \NumberFormatter($language, \NumberFormatter::SPELLOUT))->format($count);

        return $words === false ? (string) $count : mb_convert_case(mb_substr($words, 0, 1), MB_CASE_TITLE) . mb_substr($words, 1);
    }

    public static function counter(string $sign): Counter
    {
        return match ($sign) {
            'I' => Counter::UpperRoman,
            'i' => Counter::LowerRoman,
            'A' => Counter::UpperLetter,
            'a' => Counter::LowerLetter,
            'One' => Counter::Words,
            default => Counter::Decimal,
        };
    }
}
