<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Store\PlanStore;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Core\Build\Build;
use Tests\Core\Build\Package;
use Tests\Core\Build\Reports;

/** A draft comes home as it does for a writer: it is shown by one request and taken in by another, and the plan went on meanwhile. */
final class WayBackTest extends TestCase
{
    private string $draft = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->row = app(PlanStore::class)->create($this->user, Reports::random(3));
        $this->draft = $this->handedOver();
    }

    private function handedOver(string $format = 'docx'): string
    {
        return $this->get("/plans/{$this->row->id}/hand-over/file?format={$format}&heading_depth=9")
            ->assertOk()
            ->streamedContent();
    }

    /** The draft with its text changed, as a word processor would. */
    private function edited(string $from, string $to): string
    {
        $parts = Package::parts($this->draft);
        self::assertStringContainsString($from, $parts['word/document.xml']);
        $parts['word/document.xml'] = str_replace($from, $to, $parts['word/document.xml']);

        return Package::zip($parts);
    }

    private function brought(string $file): string
    {
        return (string) $this->post(
            '/intake/files',
            ['file' => UploadedFile::fake()->createWithContent('back.docx', $file)],
            ['Accept' => 'application/json'],
        )
            ->assertOk()
            ->json('token');
    }

    /** @return list<array<string, mixed>> */
    private function changes(string $token): array
    {
        return $this->postJson("/plans/{$this->row->id}/way-back", ['token' => $token])
            ->assertOk()
            ->json('changes');
    }

    /** @param list<array<string, mixed>> $changes */
    private function accept(string $token, array $changes): TestResponse
    {
        return $this->postJson("/plans/{$this->row->id}/way-back/accept", ['token' => $token, 'keys' => array_column($changes, 'key')]);
    }

    /** @return array{string, string} the first section with text, and its title */
    private function section(): array
    {
        $plan = $this->plan();
        $id = $plan->parts(Plan::ROOT)[0];

        return [$id, $plan->topic($id)->title];
    }

    public function testANewSectionReachesThePlan(): void
    {
        [, $title] = $this->section();
        $heading
            = '<w:p><w:pPr><w:pStyle w:val="Heading1"/></w:pPr><w:r><w:t>Quite new</w:t></w:r></w:p><w:p><w:r><w:t>With words of its '
                . 'own.</w:t></w:r></w:p>';
        $at = '<w:p><w:pPr><w:pStyle w:val="Heading1"/>';
        $parts = Package::parts($this->draft);
        $last = (int) strrpos($parts['word/document.xml'], $at);
        $parts['word/document.xml'] = substr_replace($parts['word/document.xml'], $heading, $last, 0);
        $token = $this->brought(Package::zip($parts));
        $changes = $this->changes($token);
        self::assertSame(['added'], array_column($changes, 'kind'));
        $this->accept($token, $changes)->assertOk();
        $plan = $this->plan();
        self::assertSame('With words of its own.', $plan->topic(Build::id($plan, 'Quite new'))->note?->plainText());
        self::assertSame([], $this->changes($this->brought(Package::zip($parts))), 'The same file again has nothing new to say.');
    }

    public function testWhatThePlanChangedSinceIsNotTakenBackByAnOldDraft(): void
    {
        [$id, $title] = $this->section();
        $other = $this->plan()->parts(Plan::ROOT)[1];
        $this->send(
            ['type' => 'retitle', 'topic' => $id, 'title' => 'Renamed since'],
            ['type' => 'add', 'at' => ['parent' => $id, 'after' => null], 'topics' => [['id' => self::newId(), 'title' => 'Added since']]],
        )->assertOk();
        $this->send(['type' => 'remove', 'ids' => [$other]])->assertOk();
        $this->send(['type' => 'plan', 'set' => ['numbering' => 'essay']])->assertOk();
        self::assertSame([], $this->changes($this->brought($this->draft)));
    }

    public function testWhatBothChangedIsMarkedAndSaysWhatItWas(): void
    {
        [$id, $title] = $this->section();
        $draft = $this->brought($this->edited(">{$title}<", ">{$title} by the sea<"));
        $this->send(['type' => 'retitle', 'topic' => $id, 'title' => 'Renamed since'])->assertOk();
        $changes = $this->changes($draft);
        self::assertSame(
            [['retitled', 'Renamed since', $title]],
            array_map(static fn(array $one): array => [$one['kind'], $one['title'], $one['before']], $changes),
        );
        $this->accept($draft, $changes)->assertOk();
        self::assertSame("{$title} by the sea", $this->plan(false)->topic($id)->title);
    }

    public function testAChangedParagraphKeepsItsCitationsAndReferences(): void
    {
        $plan = $this->plan();
        $changed = 0;
        foreach ($plan->walk() as $id => $_) {
            foreach ($plan->topic($id)->note->blocks ?? [] as $block) {
                if (iterator_count($this->atoms($block)) > 0 && $block->type === NodeType::Paragraph && ++$changed === 1) {
                    $word = explode(' ', $block->content[0]->text)[0];
                    $before = [
                        $id,
                        (string) $block->id(),
                        array_map(static fn(Node $node): array => $node->toArray(), iterator_to_array($this->atoms($block), false)),
                    ];
                }
            }
        }
        self::assertGreaterThan(0, $changed);
        $token = $this->brought($this->edited(">{$word} ", '>Changed '));
        $changes = $this->changes($token);
        self::assertContains('rewritten', array_column($changes, 'kind'));
        $this->accept($token, $changes)->assertOk();
        $atoms = [];
        foreach ($this->plan()->topic($before[0])->note->blocks ?? [] as $block) {
            $atoms = [
                ...$atoms,
                ...array_map(static fn(Node $node): array => $node->toArray(), iterator_to_array($this->atoms($block), false)),
            ];
        }
        foreach ($before[2] as $atom) {
            self::assertContains($atom, $atoms);
        }
    }

    /** @return \Generator<int, Node> */
    private function atoms(Node $block): \Generator
    {
        foreach ($block->all() as $node) {
            if (\in_array($node->type, [NodeType::Citation, NodeType::TopicRef], true)) {
                yield $node;
            }
        }
    }

    public function testARecordedChangeIsChosenByItselfAndCommentsAreKept(): void
    {
        [$id, $title] = $this->section();
        $parts = Package::parts($this->draft);
        $parts['word/document.xml'] = str_replace(
            "{$title}</w:t></w:r>",
            "{$title}</w:t></w:r><w:ins w:id=\"901\" w:author=\"Ada\"><w:r><w:t xml:space=\"preserve\"> by the sea</w:t></w:r></w:ins><w:r><w:commentReference w:id=\"7\"/></w:r>",
            $parts['word/document.xml'],
        );
        $w = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"';
        $parts[
            'word/comments.xml'
        ] = "<w:comments {$w}><w:comment w:id=\"7\" w:author=\"Cy\"><w:p><w:r><w:t>Is it?</w:t></w:r></w:p></w:comment></w:comments>";
        $parts['word/_rels/document.xml.rels'] = str_replace(
            '</Relationships>',
            '<Relationship Id="rc" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/comments" '
                . 'Target="comments.xml"/></Relationships>',
            $parts['word/_rels/document.xml.rels'],
        );
        $file = Package::zip($parts);
        $token = $this->brought($file);
        $told = $this->postJson("/plans/{$this->row->id}/way-back", ['token' => $token])->assertOk();
        self::assertSame(
            [["recorded-retitled-{$id}", 'Ada']],
            array_map(static fn(array $one): array => [$one['key'], $one['by']], $told->json('changes')),
        );
        self::assertSame('Is it?', $told->json('comments.0.text'));
        $this->accept($token, [])->assertOk();
        self::assertSame($title, $this->plan(false)->topic($id)->title, 'Only the comments were kept.');
        $token = $this->brought($file);
        $this->accept($token, $told->json('changes'))->assertOk();
        self::assertSame("{$title} by the sea", $this->plan(false)->topic($id)->title);
        // It is said in the plan from then on, once.
        self::assertSame(
            [['Cy', 'Is it?', $id]],
            \App\Models\Comment::query()->where('plan_id', $this->row->id)->get()
                ->map(static fn(\App\Models\Comment $one): array => [$one->name, $one->body, $one->topic_id])->all(),
        );
        self::assertSame(
            [['Cy', 'Is it?']],
            DB::table('draft_comments')
                ->where('plan_id', $this->row->id)
                ->where('topic_id', $id)
                ->get(['who', 'text'])
                ->map(static fn(\stdClass $one): array => [$one->who, $one->text])
                ->all(),
        );
    }

    public function testADraftOfAnotherPlanIsComparedWithoutItsPast(): void
    {
        $this->row = app(PlanStore::class)->create($this->user, Reports::random(4));
        self::assertNotSame([], $this->changes($this->brought($this->draft)));
    }

    public function testADraftThatSaysThatItIsOfARevisionThatWillBeIsCompared(): void
    {
        preg_match('/_d[0-9A-Z]{26}r\d+/', Package::parts($this->draft)['word/document.xml'], $m);
        self::assertNotSame([], $m);
        foreach ([substr($m[0], 0, 28) . 'r99999999', '_d' . str_repeat('0', 26) . 'r0', '_dnothing'] as $name) {
            self::assertSame([], $this->changes($this->brought($this->edited($m[0], $name))), $name);
        }
    }
}
