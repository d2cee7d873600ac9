<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\User;
use Embrel\Numbering\Own;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Properties;
use Illuminate\Support\Facades\DB;

/** Numberings in forms of one's own: those of ours to begin from, and those that a person keeps under names. */
final class NumberForms
{
    private const MOST = 50;
    private const OURS = [
        'Sections with a sign' => ['§ {1}', '§ {1}.{1}', '({a})'],
        'Parts and chapters' => ['Part {One}', 'Chapter {1}', '{1}.{1}', '{1}.{1}.{1}'],
        'Roman, then letters' => ['{I}.', '{A}.', '{1}.', '{a})'],
        'Numbers with a dot' => ['{1}.', '{1}.{1}.', '{1}.{1}.{1}.'],
    ];

    /** @return list<array{name: string, forms: list<string>, own: bool}> */
    public static function of(User $user): array
    {
        $all = [];
        foreach (self::OURS as $name => $forms) {
            $all[] = ['name' => $name, 'forms' => $forms, 'own' => false];
        }
        foreach (DB::table('number_forms')->where('user_id', $user->id)->orderBy('name')->get(['name', 'forms']) as $row) {
            $forms = json_decode((string) $row->forms, true);
            $all[] = [
                'name' => (string) $row->name,
                'forms' => array_values(array_filter(\is_array($forms) ? $forms : [], is_string(...))),
                'own' => true,
            ];
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
        if (isset(self::OURS[$name])) {
            throw new \DomainException("“{$name}” is one of Embrel’s own. Give yours another name.");
        }
        $own = DB::table('number_forms')->where('user_id', $user->id);
        if ($own->clone()->where('name', $name)->doesntExist() && $own->count() >= self::MOST) {
            throw new \DomainException('Fifty are kept already. Remove one that is not needed first.');
        }
        DB::table('number_forms')->upsert(
            ['id' => (new NewIds())->next(), 'user_id' => $user->id, 'name' => $name, 'forms' => json_encode($forms, JSON_THROW_ON_ERROR)],
            ['user_id', 'name'],
            ['forms'],
        );
    }

    public static function forget(User $user, string $name): void
    {
        DB::table('number_forms')->where('user_id', $user->id)->where('name', $name)->delete();
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
