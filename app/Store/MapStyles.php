<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\User;
use Embrel\Id\Ulid;
use Embrel\Layout\Map\Dress;
use Embrel\Layout\Map\DressFile;
use Embrel\Layout\Map\Look;
use Embrel\Layout\Map\Style;
use Embrel\MalformedShape;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** The styles of the map that a person keeps under names, beside those of ours. */
final class MapStyles
{
    private const MOST = 50;

    /** @return array<string, Dress> by id, in the order of their names */
    public static function kept(User $user): array
    {
        $all = [];
        foreach (DB::table('map_styles')->where('user_id', $user->id)->orderBy('name')->get(['id', 'body']) as $row) {
            $all[(string) $row->id] = self::read((string) $row->body);
        }

        return $all;
    }

    public static function find(User $user, string $id): ?Dress
    {
        $body = DB::table('map_styles')->where('user_id', $user->id)->where('id', $id)->value('body');

        return \is_string($body) ? self::read($body) : null;
    }

    private static function read(string $body): Dress
    {
        $body = json_decode($body, true);

        return Dress::of(\is_array($body) ? $body : []);
    }

    /**
     * Keeps a style under its name; one of that name is changed.
     *
     * @return string its id
     *
     * @throws \DomainException with a sentence for the person
     */
    public static function keep(User $user, Dress $dress): string
    {
        if ($dress->name === '') {
            throw new \DomainException('A style needs a name.');
        }
        if (self::isOurs($dress->name)) {
            throw new \DomainException("“{$dress->name}” is one of Embrel’s own styles. Give yours another name.");
        }
        if ($dress->picture !== '' && MapBacks::bytes($user, $dress->picture) === null) {
            throw new \DomainException('The picture of this style is not there any more. Choose it again.');
        }

        return Transaction::of(static function () use ($user, $dress): string {
            $id = self::named($user, $dress->name)->lockForUpdate()->value('id');
            if ($id === null && DB::table('map_styles')->where('user_id', $user->id)->count() >= self::MOST) {
                throw new \DomainException('Fifty styles are kept already. Remove one that is not needed first.');
            }
            $id = \is_string($id) ? $id : (new NewIds())->next();
            DB::table('map_styles')->upsert(
                ['id' => $id, 'user_id' => $user->id, 'name' => $dress->name]
                    + ['body' => json_encode($dress->toArray(), JSON_THROW_ON_ERROR)],
                ['id'],
                ['name', 'body'],
            );

            return $id;
        });
    }

    private static function isOurs(string $name): bool
    {
        $ours = array_map(static fn(Style $style): string => mb_strtolower($style->dress()->name), Style::cases());

        return \in_array(mb_strtolower($name), $ours, true);
    }

    /** Those of that name, whether it is written large or small: one at the most. */
    private static function named(User $user, string $name): Builder
    {
        return DB::table('map_styles')->where('user_id', $user->id)->where('name', $name);
    }

    public static function forget(User $user, string $id): void
    {
        DB::table('map_styles')->where('user_id', $user->id)->where('id', $id)->delete();
    }

    /**
     * Takes in the file of a style that somebody gave, under its name or, where that is taken, one beside it.
     *
     * @return string its id
     *
     * @throws \DomainException|MalformedShape
     */
    public static function takeIn(User $user, string $file): string
    {
        [$dress, $picture] = DressFile::read($file);
        $wanted = $name = $dress->name === '' ? 'A style from a file' : $dress->name;
        for ($i = 2; self::isOurs($name) || self::named($user, $name)->exists(); ++$i) {
            $name = mb_substr($wanted, 0, Dress::NAME - 4) . " {$i}";
        }
        $settings = ['name' => $name, 'picture' => $picture === null ? '' : MapBacks::keep($user, $picture)];

        return self::keep($user, Dress::of($settings + $dress->toArray()));
    }

    /**
     * How a person wants to see a map: as Look::from, and in a style of their own, kept (`own`, its id) or being made
     * (`dress`, its settings).
     *
     * @param array<array-key, mixed> $stored
     */
    public static function look(?User $user, array $stored): Look
    {
        $look = Look::from($stored);
        $id = \is_string($stored['own'] ?? null) && Ulid::isValid($stored['own']) ? $stored['own'] : '';
        if (\is_array($stored['dress'] ?? null)) {
            try {
                return $look->dressed(Dress::of($stored['dress']), $id);
            } catch (MalformedShape) {
                return $look;
            }
        }
        $own = $user === null || $id === '' ? null : self::find($user, $id);

        return $own === null ? $look : $look->dressed($own, $id);
    }
}
