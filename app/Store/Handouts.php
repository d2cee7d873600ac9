<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan;
use App\Models\User;
use App\Rules\Address;
use Illuminate\Support\Facades\DB;

/** A plan given out as a copy each to many people at once; who gives it out sees how far each copy is, and nothing else of it. */
final class Handouts
{
    /** Addresses that are taken at once. */
    public const AT_ONCE = 200;

    public function __construct(private readonly Invitations $invitations) {}

    /**
     * @param list<string> $emails in the one spelling
     *
     * @return array{links: array<string, string>, refused: list<string>} address → where its letter leads; why others were not asked
     */
    public function give(Plan $plan, User $by, array $emails): array
    {
        $links = $refused = [];
        foreach ($emails as $email) {
            try {
                $links[$email] = $this->invitations->invite($plan, $by, $email, null);
            } catch (\DomainException $why) {
                $refused[] = $why->getMessage();
            }
        }

        return ['links' => $links, 'refused' => $refused];
    }

    /**
     * The addresses in a text, apart by lines, commas, semicolons or spaces; a name before one in angle brackets is passed over.
     *
     * @return array{list<string>, list<string>} those in the one spelling, each once; and what is no address
     */
    public static function addresses(string $typed): array
    {
        $good = $bad = [];
        foreach (preg_split('/[\r\n,;]+/', $typed) ?: [] as $piece) {
            foreach (preg_match('/<([^<>\s]+)>/', $piece, $m) === 1 ? [$m[1]] : (preg_split('/\s+/', trim($piece)) ?: []) as $one) {
                if ($one === '') {
                    continue;
                }
                $email = Address::spelt($one);
                $isGood = validator(['email' => $email], ['email' => Address::RULES])->fails() === false;
                $isGood ? $good[$email] = $email : $bad[] = $one;
            }
        }

        return [array_values($good), $bad];
    }

    /**
     * @return list<array{name: string, email: string, words: int, target: int|null, strip: list<array<string, mixed>>, changed: string|null}>
     *         by name; strip without titles; changed: when, in UTC; null: the copy is deleted
     */
    public static function copies(Plan $plan): array
    {
        $rows = DB::table('handouts')
            ->leftJoin('plans', static fn($join) => $join->on('plans.id', 'handouts.copy_id')->whereNull('plans.deleted_at'))
            ->where('handouts.plan_id', $plan->id)
            ->orderBy('handouts.name')
            ->get(['handouts.name', 'handouts.email', 'plans.words', 'plans.target_words', 'plans.strip', 'plans.changed_at']);

        return array_values($rows->map(static function (\stdClass $one): array {
            /** @var list<array<string, mixed>> $strip */
            $strip = json_decode($one->strip ?? '[]', true) ?: [];

            return [
                'name' => (string) $one->name,
                'email' => (string) $one->email,
                'words' => (int) $one->words,
                'target' => $one->target_words === null ? null : (int) $one->target_words,
                // How far each section is, and not what it is called: that is the pupil's.
                'strip' => array_map(static fn(array $section): array => array_diff_key($section, ['title' => 1, 'id' => 1]), $strip),
                'changed' => $one->changed_at === null ? null : (string) $one->changed_at,
            ];
        })->all());
    }
}
