<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\User;
use App\Store\PlanStore;
use Embrel\Id\Ids;
use Embrel\Plan\Edit;
use Embrel\Plan\Flag;
use Embrel\Plan\Kind;
use Embrel\Plan\Numbered;
use Embrel\Plan\Plan;
use Embrel\Plan\Target;
use Embrel\Plan\Topic;
use Embrel\Reader\Format;
use Embrel\Reader\Options;

/** The sample account with its four plans, written for this project: all places, people and sources are made up. */
final class SampleSeeder
{
    public function __construct(private readonly PlanStore $store, private readonly Ids $ids) {}

    /** Does nothing for plans that the sample account has already. */
    public function run(): void
    {
        $user = User::query()->firstOrCreate(['email' => config('embrel.sample_email')], ['name' => 'Ada Marsh', 'password' => bin2hex(random_bytes(16)), 'time_zone' => 'Europe/London']);
        foreach (array_reverse(require __DIR__ . '/plans/plans.php') as $given) {
            if (!$user->allPlans()->where('title', $given['title'])->exists()) {
                $this->store->create($user, $this->plan($given))->update(['changed_at' => now()->subHours($given['hours_ago'])]);
            }
        }
    }

    /** @param array{title: string, hours_ago: int, file: string, properties: array<string, mixed>, topics?: array<string, array<string, mixed>>, loose?: list<string>, targets?: list<int|null>} $given */
    public function plan(array $given): Plan
    {
        $in = fopen(__DIR__ . '/plans/' . $given['file'], 'r') ?: throw new \RuntimeException("{$given['file']} is missing.");
        $plan = Format::ofPath($given['file'])->reader()->read($in, new Options($given['title']), $this->ids)->plan;
        $properties = $given['properties'];
        if (isset($properties['due'])) {
            $properties['due'] = date('Y-m-d', strtotime((string) $properties['due']) ?: null);
        }
        $edit = new Edit($plan->withProperties($plan->properties->with($properties)));
        foreach ($plan->walk() as $id => $_) {
            $topic = $plan->topic($id);
            $edit->put($topic->with(self::fields($given['topics'][$topic->title] ?? [])));
        }
        foreach ($plan->parts(Plan::ROOT) as $i => $id) {
            $target = $given['targets'][$i] ?? null;
            if ($target !== null) {
                $topic = $plan->topic($id);
                $edit->put($topic->with(['target' => Target::of($target)] + self::fields($given['topics'][$topic->title] ?? [])));
            }
        }
        foreach ($given['loose'] ?? [] as $title) {
            $edit->append(new Topic($this->ids->next(), $title), Plan::TRAY);
        }

        return $edit->done();
    }

    /**
     * @param array<string, mixed> $given
     *
     * @return array<string, mixed>
     */
    private static function fields(array $given): array
    {
        return array_filter([
            'kind' => isset($given['kind']) ? Kind::from($given['kind']) : null,
            'flag' => isset($given['flag']) ? Flag::from($given['flag']) : null,
            'numbered' => isset($given['numbered']) ? Numbered::from($given['numbered']) : null,
            'target' => isset($given['target']) ? Target::of($given['target']) : null,
        ]);
    }
}
