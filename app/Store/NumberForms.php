<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\User;
use Embrel\Numbering\Own;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Properties;

/** Numberings in forms of one's own: those of ours to begin from, and those that a person keeps under names. */
final class NumberForms
{
    private const OURS = [
        'Sections with a sign' => ['§ {1}', '§ {1}.{1}', '({a})'],
        'Parts and chapters' => ['Part {One}', 'Chapter {1}', '{1}.{1}', '{1}.{1}.{1}'],
        'Roman, then letters' => ['{I}.', '{A}.', '{1}.', '{a})'],
        'Numbers with a dot' => ['{1}.', '{1}.{1}.', '{1}.{1}.{1}.'],
    ];

    private static function own(): UnderNames
    {
        return new UnderNames('number_forms', 'forms', 'numberings', array_keys(self::OURS));
    }

    /** @return list<array{name: string, forms: list<string>, own: bool}> */
    public static function of(User $user): array
    {
        $all = [];
        foreach (self::OURS as $name => $forms) {
            $all[] = ['name' => $name, 'forms' => $forms, 'own' => false];
        }
        foreach (self::own()->all($user) as ['name' => $name, 'value' => $forms]) {
            $all[] = ['name' => $name, 'forms' => array_values(array_filter($forms, is_string(...))), 'own' => true];
        }

        return $all;
    }

    /**
     * @param list<string> $forms
     *
     * @throws \DomainException with a sentence for the person
     * @throws InvalidValue
     */
    public static function keep(User $user, string $name, array $forms): void
    {
        (new Properties())->with(['number_forms' => $forms]);
        self::own()->keep($user, $name, $forms);
    }

    public static function forget(User $user, string $name): void
    {
        self::own()->forget($user, 'name', $name);
    }

    /**
     * How the first numbers of each level are written.
     *
     * @param list<string> $forms
     *
     * @return list<list<string>> level → the first, second and third
     *
     * @throws InvalidValue
     */
    public static function shown(array $forms, string $language): array
    {
        $own = new Own((new Properties())->with(['number_forms' => $forms, 'language' => $language]));
        $shown = [];
        foreach (array_keys($forms) as $i) {
            $above = array_fill(0, $i, 1);
            $shown[] = array_map(static fn(int $n): string => (string) $own->write([...$above, $n]), [1, 2, 3]);
        }

        return $shown;
    }
}
