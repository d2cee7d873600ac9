<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\DraftTemplate;
use App\Models\User;
use Embrel\Document\Template;
use Embrel\Id\Ids;
use Embrel\Writer\TemplateStyles;
use Illuminate\Support\Facades\Storage;

/** The documents of a person's own whose styles, page, head and foot their drafts take on. */
final readonly class Templates
{
    private const MOST = 30;

    public function __construct(private Ids $ids) {}

    /** @return array<string, array{name: string, kind: string}> by id */
    public function names(User $user): array
    {
        $names = [];
        foreach (DraftTemplate::query()->where('user_id', $user->id)->get(['id', 'name', 'kind'])->sortBy('name') as $one) {
            $names[$one->id] = ['name' => $one->name, 'kind' => $one->kind];
        }

        return $names;
    }

    public function find(User $user, string $id): ?Template
    {
        return $id === '' ? null : DraftTemplate::query()->where('user_id', $user->id)->whereKey($id)->first()?->template();
    }

    /**
     * Keeps a document that was read once, so that what cannot be used is refused now and not at hand-over.
     *
     * @throws \DomainException with a sentence for the person
     */
    public function keep(User $user, string $name, string $kind, string $bytes): DraftTemplate
    {
        if (DraftTemplate::query()->where('user_id', $user->id)->count() >= self::MOST) {
            throw new \DomainException('Thirty templates are kept already. Remove one that is not needed first.');
        }
        TemplateStyles::of(new Template($kind, $bytes));
        $one = new DraftTemplate(['id' => $this->ids->next(), 'user_id' => $user->id, 'name' => mb_strcut($name, 0, 255), 'kind' => $kind]);
        Storage::disk(DraftTemplate::DISK)->put($one->id, $bytes);
        $one->save();

        return $one;
    }

    public static function forget(DraftTemplate $one): void
    {
        $one->delete();
        Storage::disk(DraftTemplate::DISK)->delete($one->id);
    }

    public static function forgetAll(User $user): void
    {
        DraftTemplate::query()->where('user_id', $user->id)->get()->each(self::forget(...));
    }

    /** Documents that nobody has. */
    public static function purge(): void
    {
        Sweep::files(DraftTemplate::DISK, static fn(string $id): bool => DraftTemplate::query()->whereKey($id)->exists());
    }
}
