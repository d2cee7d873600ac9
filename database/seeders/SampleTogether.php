<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Access\Role;
use App\Models\Plan as PlanRow;
use App\Models\Share;
use App\Models\User;
use App\Store\Comments;
use App\Store\PlanStore;
use Embrel\Comment\Suggestion;
use Embrel\Id\Ids;
use Embrel\Operation\MoveTopics;
use Embrel\Operation\RemoveTopics;
use Embrel\Operation\Retitle;
use Embrel\Operation\Transition;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\RichText\Note;
use Embrel\Shape;
use Illuminate\Support\Facades\DB;

/** A plan that several people have written: their accounts, a history that ends at the plan as it is, and what they said. */
final class SampleTogether
{
    public function __construct(private readonly PlanStore $store, private readonly Ids $ids) {}

    /** @param array<string, mixed> $given `people`, `history` (the last step first) and `comments`, as plans.php has them */
    public function written(User $owner, Plan $now, array $given): PlanRow
    {
        $people = [$owner->name => $owner];
        foreach ($given['people'] as $name => $_) {
            $email = strtolower((string) strtok($name, ' ')) . '@embrel.example';
            $people[$name] = User::query()->firstOrCreate(
                ['email' => $email],
                ['name' => $name, 'password' => bin2hex(random_bytes(16)), 'time_zone' => $owner->time_zone],
            );
        }
        $titles = array_column($now->topics, 'id', 'title');
        $states = [$now];
        foreach ($given['history'] as $step) {
            $states[] = self::before(end($states), $step['before'], $titles);
        }
        $states = array_reverse($states);
        $row = $this->store->create($owner, $states[0]);
        DB::table('plans')->where('id', $row->id)->update(['created_at' => now()->subHours($given['history'][0]['hours'] + 60)]);
        foreach (array_reverse($given['history']) as $i => $step) {
            $change = $this->store->change(Transition::between($this->store->whole($row), $states[$i + 1]), says: $step['says']);
            $this->store->insist($row, $people[$step['by']], $change);
            $at = now()->subHours($step['hours']);
            DB::table('operations')->where('plan_id', $row->id)->where('seq', $row->revision)->update(['at' => $at]);
            $today = ['plan_id' => $row->id, 'user_id' => $people[$step['by']]->id, 'day' => $people[$step['by']]->today()];
            foreach (DB::table('written_words')->where($today)->get() as $words) {
                $day = ['day' => $at->format('Y-m-d'), 'section_id' => $words->section_id] + $today;
                $known = DB::table('written_words')->where($day)->first();
                DB::table('written_words')->updateOrInsert(
                    $day,
                    ['added' => $words->added + ($known->added ?? 0), 'taken' => $words->taken + ($known->taken ?? 0)],
                );
            }
            DB::table('written_words')->where($today)->delete();
        }
        foreach ($given['people'] as $name => $role) {
            Share::query()->create(['plan_id' => $row->id, 'user_id' => $people[$name]->id, 'role' => Role::from($role)]);
        }
        $this->said($row, $people, $given['comments'], $titles);

        return $row;
    }

    /**
     * How the plan was before a step.
     *
     * @param array<string, mixed>  $before
     * @param array<string, string> $titles
     */
    private static function before(Plan $plan, array $before, array $titles): Plan
    {
        $id = static fn(string $title): string => $title === '' ? Plan::ROOT : $titles[$title];
        [$what, $of] = [(string) array_key_first($before), reset($before)];

        return match ($what) {
            'empty' => $plan->with($plan->topic($id($of))->withNote(Note::empty())),
            'title' => (new Retitle($id($of[0]), $of[1]))->apply($plan),
            'place' => (new MoveTopics([$id($of[0])], new Place($id($of[1]))))->apply($plan),
            default => (new RemoveTopics([$id($of)]))->apply($plan),
        };
    }

    /**
     * @param array<string, User>        $people
     * @param list<array<string, mixed>> $comments
     * @param array<string, string>      $titles
     */
    private function said(PlanRow $row, array $people, array $comments, array $titles): void
    {
        $ids = [];
        foreach ($comments as $one) {
            $ids[] = $id = $this->ids->next();
            Comments::say(
                $row,
                $people[$one['by']],
                $id,
                $titles[$one['on']],
                $one['says'],
                isset($one['answers']) ? $ids[$one['answers']] : null,
                isset($one['words']) ? ['text' => $one['words'], 'nth' => 0] : null,
                isset($one['title']) ? Suggestion::read(new Shape(['kind' => 'title', 'text' => $one['title']], 'title')) : null,
            );
            if (isset($one['settled'])) {
                Comments::settle($row, $people[$one['settled']], $id, true);
            }
            DB::table('comments')->where('id', $id)->update(['created_at' => now()->subHours($one['hours'])]);
        }
        // They wait on no list, and go out in no letter: nobody is at these accounts.
        DB::table('notices')->where('plan_id', $row->id)->delete();
    }
}
