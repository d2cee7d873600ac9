<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Citation\CitationStyle;
use Embrel\Citation\Csl\CslError;
use Embrel\Citation\Csl\Effort;
use Embrel\Citation\Csl\StyleFile;
use Embrel\Citation\KeptStyles;
use Embrel\Citation\StyleTable;
use Embrel\Shelf\Shelf;
use Illuminate\Support\Facades\DB;

/**
 * Files of citation styles that people bring. Each stands here once, by its content. Who brought it keeps it; a plan that is
 * printed in it holds on to it, so that all who work there have it, and taking it off one's own list takes it from no plan.
 */
final readonly class CitationStyles implements KeptStyles
{
    private const MOST = 100;

    public function file(string $key): ?string
    {
        $body = DB::table('style_files')->where('id', $key)->value('body');

        return \is_string($body) ? $body : null;
    }

    /** In APA, 5,000 sources with 15,000 citations take a third of what there is. */
    public function effort(): Effort
    {
        return new StyleEffort((float) config('embrel.style.seconds'), (int) config('embrel.style.memory') << 20);
    }

    /** @return array<string, string> key → name, of those that a person keeps */
    public static function of(User $user): array
    {
        return self::named('kept_style_files', 'user_id', $user->id);
    }

    /** @return array<string, string> key → name, of those that a plan holds on to */
    public static function ofPlan(PlanRow $plan): array
    {
        return self::named('plan_style_files', 'plan_id', $plan->id);
    }

    /** @return array<string, string> */
    private static function named(string $table, string $column, int|string $holder): array
    {
        $names = [];
        $held = DB::table('style_files')->join($table, 'style_id', '=', 'id')->where($column, $holder)->orderBy('name');
        foreach ($held->get(['id', 'name']) as $one) {
            $names[(string) $one->id] = (string) $one->name;
        }

        return $names;
    }

    /**
     * Keeps a file for a person.
     *
     * @return string its key
     *
     * @throws CslError with a sentence for the person
     */
    public function takeIn(User $user, string $xml): string
    {
        if (\count(self::of($user)) >= self::MOST) {
            throw new CslError('A hundred styles of your own are kept already. Remove one that is not needed first.');
        }
        $key = $this->admit($user, $xml);
        $this->keep($user, $key);

        return $key;
    }

    /**
     * Checks a file and has it here from now on; nobody keeps it yet.
     *
     * @param User $user among whose styles one is that it follows
     *
     * @return string its key
     *
     * @throws CslError with a sentence for the person
     */
    public function admit(User $user, string $xml): string
    {
        $file = StyleFile::checked($xml, Shelf::schema());
        if ($file->parent !== '' && StyleTable::named($file->parent) === null) {
            $parent = DB::table('style_files')
                ->join('kept_style_files', 'style_id', '=', 'id')
                ->where('user_id', $user->id)
                ->where('standard_id', $file->parent)
                ->value('body');
            if (!\is_string($parent)) {
                throw new CslError("“{$file->title}” follows another style, {$file->parent}, which is not here. Take in the file of that one first.");
            }
            $xml = StyleFile::composed($xml, $parent);
        }
        $key = CitationStyle::keyOf($xml);
        DB::table('style_files')->insertOrIgnore([
            'id' => $key,
            'name' => $file->title,
            'standard_id' => mb_strcut($file->id, 0, 300),
            'body' => $xml,
        ]);

        return $key;
    }

    /** Keeps one that is here already. */
    public function keep(User $user, string $key): void
    {
        DB::table('kept_style_files')->insertOrIgnore(['user_id' => $user->id, 'style_id' => $key]);
    }

    public static function forget(User $user, string $key): void
    {
        DB::table('kept_style_files')->where('user_id', $user->id)->where('style_id', $key)->delete();
    }

    /**
     * A plan that is printed in one holds on to it from then on: its history may lead back to it.
     *
     * @param string|null $key null: that of the plan as it is
     */
    public static function hold(PlanRow $plan, ?string $key = null): void
    {
        $key ??= $plan->getAttribute('style_key');
        if (\is_string($key) && str_starts_with($key, CitationStyle::OWN)) {
            DB::table('plan_style_files')->insertOrIgnoreUsing(
                ['plan_id', 'style_id'],
                DB::table('style_files')->where('id', $key)->selectRaw('?, id', [$plan->id]),
            );
        }
    }

    /** Those that nobody keeps and no plan holds on to. */
    public static function purge(): void
    {
        DB::table('style_files')
            ->where('created_at', '<', now()->subDay())
            ->whereNotExists(static fn($query) => $query->from('kept_style_files')->whereColumn('style_id', 'style_files.id'))
            ->whereNotExists(static fn($query) => $query->from('plan_style_files')->whereColumn('style_id', 'style_files.id'))
            ->delete();
    }
}
