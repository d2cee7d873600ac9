<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Archive\Shelf;
use Embrel\Document\Pictures;
use Embrel\Draft\Choices;
use Embrel\Draft\DraftChoices;
use Embrel\Draft\OutlineChoices;
use Embrel\Draft\Printing;
use Embrel\Id\CountedIds;
use Embrel\Intake\Options;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Reader\Format as Reading;
use Embrel\RichText\Flow;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\Writer\Format as Writing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Folder;
use Tests\Core\Build\Notes;
use Tests\Core\Build\Trees;

/** A plan goes out and comes back: the same tree, kinds, notes and pictures. What a format cannot hold is in docs/formats.md. */
final class RoundTripTest extends TestCase
{
    use Folder;
    private const PLANS = 200;
    /** The order in which marks are compared; none of them says anything. */
    private const MARKS = ['bold', 'italic', 'underline', 'strike', 'highlight', 'superscript', 'subscript', 'code', 'link'];

    /** @return array<string, string> id → bytes of a picture */
    private static function pictures(): array
    {
        $pictures = [];
        foreach ([[60, 40], [500, 300]] as [$width, $height]) {
            $image = imagecreatetruecolor($width, $height);
            ob_start();
            imagepng($image);
            $bytes = (string) ob_get_clean();
            $pictures[hash('sha256', $bytes)] = $bytes;
        }

        return $pictures;
    }

    /** @return iterable<string, array{string}> */
    public static function formats(): iterable
    {
        foreach (['docx', 'odt', 'html', 'md', 'opml'] as $format) {
            yield $format => [$format];
        }
    }

    #[DataProvider('formats')]
    public function testTwoHundredPlansComeBackTheSame(string $format): void
    {
        $all = self::pictures();
        $pictures = new class ($all) implements Pictures {
            /** @param array<string, string> $all */
            public function __construct(private readonly array $all) {}

            public function bytes(string $id): ?string
            {
                return $this->all[$id] ?? null;
            }
        };
        $choices = new Choices(
            pictures: $pictures,
            draft: new DraftChoices(headingDepth: 9, contents: false, marks: true, prints: ['aside' => Printing::Out]),
            outline: new OutlineChoices(loose: true),
        );
        for ($seed = 1; $seed <= self::PLANS; ++$seed) {
            $plan = Notes::on(self::printed(Trees::random($seed, 25)), $seed, array_keys($all));
            $out = fopen("{$this->folder}/out", 'w+') ?: throw new \RuntimeException('No file.');
            $writing = Writing::from($format)->coming($plan, $choices);
            $writing->writer()->write($plan, $choices, $out, $this->folder);
            rewind($out);
            $reading = Reading::ofPath('x.' . $writing->extension());
            $back = $this->back($reading, $out, $format);
            self::assertSame(self::forms($plan, $format), self::forms($back, $format), "{$format}, plan {$seed}");
            fclose($out);
            array_map(unlink(...), glob("{$this->folder}/*") ?: []);
        }
    }

    /** @param resource $out */
    private function back(Reading $reading, $out, string $format): Plan
    {
        $options = new Options('', firstIsTitle: $format === 'md');

        return $reading->read($out, $options, new CountedIds('06'), $this->folder, new Shelf($this->folder))->plan;
    }

    /** @return iterable<string, array{string, string}> */
    public static function samples(): iterable
    {
        foreach (['docx', 'odt', 'html', 'md', 'opml'] as $format) {
            foreach (['tide.md', 'night-bus.md', 'bell-foundry.txt', 'plants.md'] as $sample) {
                yield "{$sample} as {$format}" => [$sample, $format];
            }
        }
    }

    #[DataProvider('samples')]
    public function testTheSamplePlansComeBackTheSame(string $sample, string $format): void
    {
        $file = fopen(\dirname(__DIR__, 2) . "/database/seeders/plans/{$sample}", 'r') ?: throw new \RuntimeException($sample);
        $plan = Build::intake(Reading::ofPath($sample), $file, new Options('The sample'))->plan;
        $writing = Writing::from($format);
        $out = fopen("{$this->folder}/out", 'w+') ?: throw new \RuntimeException('No file.');
        $writing
            ->writer()
            ->write($plan, new Choices(
                draft: new DraftChoices(headingDepth: 9, contents: $format !== 'md', marks: true),
                outline: new OutlineChoices(loose: true),
            ), $out, $this->folder);
        rewind($out);
        $back = $this->back(Reading::from($format), $out, $format);
        self::assertSame(self::forms($plan, $format), self::forms($back, $format));
    }

    /** Without what is not printed: asides and what is under them. */
    private static function printed(Plan $plan): Plan
    {
        foreach ($plan->topics as $topic) {
            $plan = $topic->kind === Kind::Aside ? $plan->with($topic->with(['kind' => Kind::Point])) : $plan;
        }

        return $plan;
    }

    /** A line for each topic and each block of its note. */
    private static function forms(Plan $plan, string $format): string
    {
        $forms = [['title' => self::line($plan->title()), 'note' => self::note($plan->topic(Plan::ROOT)->note->blocks ?? [], $format)]];
        foreach ($plan->walk() as $id => $level) {
            $topic = $plan->topic($id);
            $forms[] = [
                'level' => $level,
                'kind' => $topic->kind->value,
                'title' => self::line($topic->title),
                'note' => self::note($topic->note->blocks ?? [], $format),
            ];
        }

        $lines = '';
        foreach ($forms as $form) {
            $note = $form['note'];
            unset($form['note']);
            $lines .= json_encode($form, JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR) . "\n";
            foreach ($note as $block) {
                $lines .= '    ' . json_encode($block, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR) . "\n";
            }
        }

        return $lines;
    }

    private static function line(string $title): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', $title));
    }

    /**
     * @param array<Node> $blocks
     *
     * @return list<mixed>
     */
    private static function note(array $blocks, string $format): array
    {
        return array_map(static fn(Node $block): array => self::form($block, $format), array_values($blocks));
    }

    /** @return array<string, mixed> */
    private static function form(Node $node, string $format): array
    {
        // In Markdown a heading within a note is a bold line.
        if ($format === 'md' && $node->type === NodeType::Heading) {
            return ['type' => 'paragraph', 'text' => $node->plainText()];
        }
        if (
            $format === 'md'
            && $node->type === NodeType::Paragraph
            && $node->content !== []
            && array_filter(
                $node->content,
                static fn(Node $run): bool => $run->type !== NodeType::Text
                    || (trim($run->text) !== '' && !$run->has(MarkType::Bold) && !$run->has(MarkType::Code)),
            ) === []
        ) {
            return ['type' => 'paragraph', 'text' => $node->plainText()];
        }
        $flow = new Flow();
        $content = [];
        foreach ($node->content as $child) {
            if ($child->type === NodeType::Text) {
                $marks = $child->marks;
                usort(
                    $marks,
                    static fn(Mark $a, Mark $b): int
                        => array_search($a->type->value, self::MARKS, true) <=> array_search($b->type->value, self::MARKS, true),
                );
                $flow->text($child->text, $marks);
            } elseif (\in_array($child->type, [NodeType::HardBreak, NodeType::Footnote], true)) {
                $flow->put($child);
            } else {
                $content[] = self::form($child, $format);
            }
        }
        foreach ($flow->nodes() as $run) {
            $content[]
                = $run->type === NodeType::Footnote
                    ? ['footnote' => self::form(new Node(NodeType::Paragraph, [], $run->content), $format)] : $run->toArray();
        }

        $attrs = array_diff_key($node->attrs, ['id' => 1]);
        ksort($attrs);

        return ['type' => $node->type, 'attrs' => $attrs, 'content' => $content];
    }
}
