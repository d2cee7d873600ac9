<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\User;
use Embrel\Document\Style;
use Embrel\Id\Ids;
use Illuminate\Support\Facades\DB;

/** The styles of drafts that a person keeps under names, beside the four of ours. */
final readonly class Styles
{
    private const MOST = 50;

    public function __construct(private Ids $ids) {}

    /** @return array<string, array{name: string, own: bool, settings: array<string, mixed>}> by name of ours, or id */
    public function all(User $user): array
    {
        $all = [];
        foreach (Style::labels() as $name => $label) {
            $all[$name] = ['name' => $label, 'own' => false, 'settings' => Style::own($name)->toArray()];
        }
        foreach (
            DB::table('styles')
                ->where('user_id', $user->id)
                ->orderBy('name')
                ->get(['id', 'name', 'body']) as $row
        ) {
            $all[(string) $row->id] = [
                'name' => (string) $row->name,
                'own' => true,
                'settings' => self::style((string) $row->body)->toArray(),
            ];
        }

        return $all;
    }

    /** One of ours by name or one of theirs by id; the report where there is none such. */
    public function find(User $user, string $name): Style
    {
        $body = isset(Style::OWN[$name]) ? null : DB::table('styles')->where('user_id', $user->id)->where('id', $name)->value('body');

        return \is_string($body) ? self::style($body) : Style::own($name);
    }

    private static function style(string $body): Style
    {
        $given = json_decode($body, true);

        return Style::of(\is_array($given) ? $given : []);
    }

    /**
     * Keeps a style under its name; one of that name is changed.
     *
     * @throws \DomainException with a sentence for the person
     */
    public function keep(User $user, Style $style): string
    {
        if ($style->name === '' || \in_array($style->name, Style::labels(), true)) {
            throw new \DomainException(
                $style->name === '' ? 'A style needs a name.' : "“{$style->name}” is one of Embrel’s own styles. Give yours another name.",
            );
        }
        $known = DB::table('styles')->where('user_id', $user->id)->where('name', $style->name)->value('id');
        if ($known === null && DB::table('styles')->where('user_id', $user->id)->count() >= self::MOST) {
            throw new \DomainException('Fifty styles are kept already. Remove one that is not needed first.');
        }
        $id = \is_string($known) ? $known : $this->ids->next();
        DB::table('styles')->upsert(
            [
                [
                    'id' => $id,
                    'user_id' => $user->id,
                    'name' => $style->name,
                    'body' => json_encode($style->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                    'created_at' => now(),
                    'updated_at' => now(),
                ],
            ],
            ['id'],
            ['body', 'updated_at'],
        );

        return $id;
    }

    public function remove(User $user, string $id): void
    {
        DB::table('styles')->where('user_id', $user->id)->where('id', $id)->delete();
    }
}
