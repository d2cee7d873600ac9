<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Check\Balance;
use Embrel\Check\Check;
use Embrel\Check\Finding;
use Embrel\Check\Group;
use Embrel\Check\Rule;
use Embrel\Check\Says;
use Embrel\Check\Text\Reader;
use Embrel\Check\Text\Reading;
use Embrel\Plan\Plan;
use Embrel\RichText\Note;
use Illuminate\Support\Facades\DB;

/** The checks of a plan, from its tree and what was read in its notes when they were written; no note is read for it. */
final class PlanChecks
{
    /** So many of one rule are told one by one. */
    private const SHOWN = 200;
    private const CHUNK = 100;
    private const JSON = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;

    public static function of(PlanRow $row, User $user): Check
    {
        $rows = new PlanRows();
        $plan = $rows->withRelations($rows->withSources($rows->tree($row), $row->id), $row->id);

        return Check::of($plan, self::readings($row->id, $plan), $user->today());
    }

    /**
     * What Check shows.
     *
     * @return array<string, mixed>
     */
    public static function told(PlanRow $row, User $user): array
    {
        $check = self::of($row, $user);
        $says = new Says($check->ground);
        $balance = Balance::of($check->ground);

        return [
            'revision' => $row->revision,
            'count' => \count($check->findings),
            'serious' => $check->serious(),
            'groups' => array_map(static fn(Group $group): array => self::group($group, $says), $check->groups()),
            'setAside' => array_map(
                static fn(Finding $one): array => self::finding($one, $says) + [
                    'rule' => Says::rule($one->rule),
                    'why' => $check->ground->plan->properties->setAside[$one->key()] ?? '',
                ],
                $check->setAside,
            ),
            'pace' => PlanPace::told($row, $user, $check->ground),
            'balance' => ['sections' => $balance->sections, 'even' => $balance->even, 'scale' => $balance->scale],
        ];
    }

    /** @return list<array{code: string, name: string, why: string, weight: string, on: bool}> all rules, as they are switched on and off */
    public static function rules(PlanRow $row): array
    {
        $off = $row->properties()->rulesOff;

        return array_map(
            static fn(Rule $rule): array => [
                'code' => $rule->value,
                'name' => Says::rule($rule),
                'why' => Says::why($rule),
                'weight' => $rule->weight()->value,
                'on' => !\in_array($rule->value, $off, true),
            ],
            Rule::cases(),
        );
    }

    /** @return array<string, mixed> */
    private static function group(Group $group, Says $says): array
    {
        return [
            'rule' => $group->rule->value,
            'weight' => $group->rule->weight()->value,
            'heading' => $says->heading($group),
            'detail' => $says->detail($group),
            'act' => Says::act($group->rule),
            'mends' => $group->rule->isMendable(),
            'count' => \count($group->findings),
            'findings' => array_map(
                static fn(Finding $one): array => self::finding($one, $says),
                \array_slice($group->findings, 0, self::SHOWN),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function finding(Finding $finding, Says $says): array
    {
        return [
            'key' => $finding->key(),
            'says' => $says->line($finding),
            'topic' => $finding->topics[0] ?? null,
            'block' => $finding->hit?->block,
            'source' => $finding->sources[0] ?? null,
        ];
    }

    /**
     * What was read in the notes; what was read by other rules, or in another language, is read anew and kept.
     *
     * @return array<string, Reading>
     */
    private static function readings(string $planId, Plan $plan): array
    {
        $language = $plan->properties->language;
        $readings = $stale = [];
        foreach (DB::table('notes')->where('plan_id', $planId)->get(['topic_id', 'reading']) as $row) {
            if (!$plan->has($row->topic_id)) {
                continue;
            }
            $reading = Reading::read($row->reading === null ? null : json_decode($row->reading, true), $language);
            if ($reading === null) {
                $stale[] = $row->topic_id;
            } else {
                $readings[$row->topic_id] = $reading;
            }
        }
        foreach (array_chunk($stale, self::CHUNK) as $chunk) {
            $bodies = DB::table('notes')->where('plan_id', $planId)->whereIn('topic_id', $chunk)->pluck('body', 'topic_id');
            foreach ($bodies as $topic => $body) {
                $readings[$topic] = Reader::note(Note::fromJson($body), $language);
                // Only where it is still the note that was read.
                DB::table('notes')
                    ->where('plan_id', $planId)
                    ->where('topic_id', $topic)
                    ->where('body', $body)
                    ->update(['reading' => self::stored($readings[$topic])]);
            }
        }

        return $readings;
    }

    public static function stored(Reading $reading): string
    {
        return json_encode($reading->toArray(), self::JSON);
    }
}
