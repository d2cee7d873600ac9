<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\User;
use App\Store\PersonalState;
use App\Store\PlanPictures;
use App\Store\PlanStore;
use App\Store\WorkFolder;
use Embrel\Archive\Shelf;
use Embrel\Citation\Source;
use Embrel\Citation\SourceForm;
use Embrel\Id\Ids;
use Embrel\Intake\Options;
use Embrel\Plan\Edit;
use Embrel\Plan\Flag;
use Embrel\Plan\Kind;
use Embrel\Plan\Label;
use Embrel\Plan\Numbered;
use Embrel\Plan\Plan;
use Embrel\Plan\Target;
use Embrel\Plan\Topic;
use Embrel\Reader\Format;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\Shape;

/** The sample account with its four plans, written for this project: all places, people and sources are made up. */
final class SampleSeeder
{
    public function __construct(
        private readonly PlanStore $store,
        private readonly Ids $ids,
        private readonly SampleTogether $together,
    ) {}

    /** Does nothing for plans that the sample account has already. */
    public function run(): void
    {
        $user = User::query()->firstOrCreate(
            ['email' => config('embrel.sample_email')],
            ['name' => 'Ada Marsh', 'password' => bin2hex(random_bytes(16)), 'time_zone' => 'Europe/London'],
        );
        foreach (array_reverse(require __DIR__ . '/plans/plans.php') as $given) {
            if (!$user->allPlans()->where('title', $given['title'])->exists()) {
                $row = isset($given['history'])
                    ? $this->together->written($user, $this->plan($given), $given)
                    : $this->store->create($user, $this->plan($given));
                $row->update(['changed_at' => now()->subHours($given['hours_ago'])]);
                foreach ($given['pictures'] ?? [] as $picture) {
                    (new PlanPictures($row->id))->keep((string) file_get_contents(self::file($picture['file'])));
                }
                if (isset($given['hand_over'])) {
                    (new PersonalState())->keepHandOver($user, $row, $given['hand_over']);
                }
            }
        }
    }

    private static function file(string $picture): string
    {
        return __DIR__ . "/pictures/{$picture}";
    }

    /**
     * @param array{title: string, hours_ago: int, file: string, properties: array<string, mixed>, topics?: array<string, array<string, mixed>>, loose?: list<string>, sources?: array<string, array<string, mixed>>, targets?: list<int|null>, pictures?: array<string, array{file: string, behind: int, caption: string, alt: string}>, hand_over?: array<string, mixed>, ...} $given
     */
    public function plan(array $given): Plan
    {
        $in = fopen(__DIR__ . '/plans/' . $given['file'], 'r') ?: throw new \RuntimeException("{$given['file']} is missing.");
        $plan = WorkFolder::with(
            fn(string $work): Plan => Format::ofPath($given['file'])->read(
                $in,
                new Options($given['title']),
                $this->ids,
                $work,
                new Shelf($work),
            )->plan,
        );
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
        foreach ($edit->done()->topics as $topic) {
            $picture = $given['pictures'][$topic->title] ?? null;
            if ($picture !== null && $topic->note !== null) {
                $edit->put($topic->withNote(self::pictured($topic->note, $picture, $this->ids->next())));
            }
        }
        foreach ($given['loose'] ?? [] as $title) {
            $edit->append(new Topic($this->ids->next(), $title), Plan::TRAY);
        }

        return $this->cited(Label::complete($edit->done()), $given['sources'] ?? []);
    }

    /**
     * A note with a picture behind so many of its blocks.
     *
     * @param array{file: string, behind: int, caption: string, alt: string} $picture
     */
    private static function pictured(Note $note, array $picture, string $id): Note
    {
        $node = new Node(NodeType::Picture, [
            'id' => $id,
            'picture' => (string) hash_file('sha256', self::file($picture['file'])),
            'width' => 640,
            'caption' => $picture['caption'],
            'alt' => $picture['alt'],
        ]);
        $blocks = array_values($note->blocks);
        array_splice($blocks, $picture['behind'], 0, [$node]);

        return Note::of($blocks);
    }

    /**
     * Signs in the text become what they stand for: ⟦pell 61⟧ a citation, ⟦§ Title⟧ a reference to a topic, ⟦* words⟧ a footnote.
     *
     * @param array<string, array<string, mixed>> $given
     */
    private function cited(Plan $plan, array $given): Plan
    {
        $sources = array_map(
            fn(array $form): Source => SourceForm::read(new Shape(['id' => $this->ids->next()] + $form, 'source')),
            $given,
        );
        $titles = array_column($plan->topics, 'id', 'title');
        $edit = new Edit($plan);
        foreach ($plan->topics as $topic) {
            if ($topic->note !== null && str_contains($topic->note->plainText(), '⟦')) {
                $edit->put(
                    $topic->withNote(
                        Note::of(
                            array_map(static fn(Node $block): Node => self::resolved($block, $sources, $titles), $topic->note->blocks),
                        ),
                    ),
                );
            }
        }

        return $edit->done()->withSources(array_column($sources, null, 'id'));
    }

    /**
     * @param array<string, Source> $sources
     * @param array<string, string> $titles  title → topic
     */
    private static function resolved(Node $node, array $sources, array $titles): Node
    {
        $content = [];
        foreach ($node->content as $child) {
            foreach (
                $child->type === NodeType::Text
                    ? (preg_split('/(⟦[^⟧]+⟧)/u', $child->text, -1, PREG_SPLIT_DELIM_CAPTURE | PREG_SPLIT_NO_EMPTY)
                    ?: [])
                    : [$child] as $piece
            ) {
                $content[] = match (true) {
                    $piece instanceof Node => self::resolved($piece, $sources, $titles),
                    preg_match('/\A⟦(?:(see) )?(\w+) ?(.*)⟧\z/u', $piece, $m) === 1 => new Node(NodeType::Citation, [
                        'items' => [array_filter(['source' => $sources[$m[2]]->id, 'prefix' => $m[1], 'pages' => $m[3]])],
                    ]),
                    preg_match('/\A⟦§ (.+)⟧\z/u', $piece, $m) === 1 => new Node(NodeType::TopicRef, ['topic' => $titles[$m[1]]]),
                    preg_match('/\A⟦\* (.+)⟧\z/u', $piece, $m) === 1 => new Node(NodeType::Footnote, content: [Node::text($m[1])]),
                    default => Node::text($piece, $child->marks),
                };
            }
        }

        return new Node($node->type, $node->attrs, $content, $node->text, $node->marks);
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
            'labels' => $given['labels'] ?? null,
            'who' => $given['who'] ?? null,
            'begins' => self::day($given['begins'] ?? null),
            'due' => self::day($given['due'] ?? null),
        ]);
    }

    /** A calendar date from today on, as “+4 days” says it. */
    private static function day(?string $when): ?string
    {
        return $when === null ? null : now()->modify($when)->format('Y-m-d');
    }
}
