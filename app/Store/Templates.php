<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\User;
use Embrel\Document\Template;
use Embrel\Id\Ids;
use Embrel\Writer\TemplateStyles;
use Illuminate\Support\Facades\DB;

/** The documents of a person's own whose styles, page, head and foot their drafts take on. */
final readonly class Templates
{
    private const MOST = 30;

    public function __construct(private Ids $ids) {}

    /** @return array<string, array{name: string, kind: string}> by id */
    public function names(User $user): array
    {
        $names = [];
        foreach (
            DB::table('templates')
                ->where('user_id', $user->id)
                ->orderBy('name')
                ->get(['id', 'name', 'kind']) as $row
        ) {
            $names[(string) $row->id] = ['name' => (string) $row->name, 'kind' => (string) $row->kind];
        }

        return $names;
    }

    public function find(User $user, string $id): ?Template
    {
        $row
            = $id === ''
                ? null
                : DB::table('templates')
                    ->where('user_id', $user->id)
                    ->where('id', $id)
                    ->first(['kind', 'bytes', 'choices']);
        $chosen = json_decode((string) ($row->choices ?? ''), true);

        return $row === null
            ? null
            : new Template((string) $row->kind, (string) $row->bytes, array_filter(\is_array($chosen) ? $chosen : [], \is_string(...)));
    }

    /**
     * Keeps a document that was read once, so that what cannot be used is refused now and not at hand-over.
     *
     * @throws \DomainException with a sentence for the person
     */
    public function keep(User $user, string $name, string $kind, string $bytes): string
    {
        if (DB::table('templates')->where('user_id', $user->id)->count() >= self::MOST) {
            throw new \DomainException('Thirty templates are kept already. Remove one that is not needed first.');
        }
        TemplateStyles::of(new Template($kind, $bytes));
        $id = $this->ids->next();
        DB::table('templates')->insert([
            'id' => $id,
            'user_id' => $user->id,
            'name' => mb_strcut($name, 0, 255),
            'kind' => $kind,
            'bytes' => $bytes,
            'created_at' => now(),
            'updated_at' => now(),
        ]);

        return $id;
    }

    /** @param array<string, string> $styles */
    public function choose(User $user, string $id, array $styles): void
    {
        DB::table('templates')
            ->where('user_id', $user->id)
            ->where('id', $id)
            ->update(['choices' => json_encode($styles, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE), 'updated_at' => now()]);
    }

    public function remove(User $user, string $id): void
    {
        DB::table('templates')->where('user_id', $user->id)->where('id', $id)->delete();
    }
}
