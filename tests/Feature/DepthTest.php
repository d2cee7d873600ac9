<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Plan as PlanRow;
use Embrel\Limits;
use Embrel\RichText\InvalidNote;
use Embrel\RichText\Schema;
use Embrel\Writer\Format;
use PHPUnit\Framework\Attributes\DataProvider;

/** What a note may hold, every layer keeps, however deep it is; what is deeper is refused with a reason. */
final class DepthTest extends TestCase
{
    /** @return array<string, mixed> a block whose deepest paragraph stands so many nodes down */
    private static function nested(string $type, int $depth): array
    {
        $node = ['type' => 'paragraph', 'content' => [['type' => 'text', 'text' => 'at the bottom']]];
        for ($at = 2; $at <= $depth; ++$at) {
            $node
                = $type === 'blockquote' || ($depth - $at) % 2 === 1
                    ? ['type' => $type === 'blockquote' ? 'blockquote' : 'listItem', 'content' => [$node]]
                    : ['type' => $type, 'content' => [$node]];
        }

        return ['attrs' => ['id' => self::newId()]] + $node;
    }

    /** The deepest that the schema allows. */
    private static function deepest(string $type): int
    {
        for ($depth = $type === 'blockquote' ? 1 : 3, $found = 0; ; $depth += $type === 'blockquote' ? 1 : 2) {
            try {
                Schema::block(self::nested($type, $depth));
                $found = $depth;
            } catch (InvalidNote) {
                return $found;
            }
        }
    }

    /** @return iterable<string, array{string}> */
    public static function types(): iterable
    {
        yield 'lists' => ['bulletList'];
        yield 'numbered lists' => ['orderedList'];
        yield 'quotations' => ['blockquote'];
    }

    #[DataProvider('types')]
    public function testTheDeepestNoteIsTypedKeptTakenBackAndHandedOver(string $type): void
    {
        $depth = self::deepest($type);
        self::assertGreaterThan(Limits::NOTE_DEPTH - 6, $depth);
        $topic = $this->id('A');
        $this->send(['type' => 'note', 'topic' => $topic, 'put' => [self::nested($type, $depth)], 'remove' => [], 'order' => null])
            ->assertOk()
            ->assertJsonPath('refused', []);
        $blocks = $this->getJson("/plans/{$this->row->id}/topics/{$topic}/note")
            ->assertOk()
            ->json('blocks');
        self::assertStringContainsString('at the bottom', (string) json_encode($blocks, JSON_THROW_ON_ERROR, 1024));
        foreach (Format::cases() as $format) {
            $this->get("/plans/{$this->row->id}/hand-over/file?format={$format->value}")->assertOk();
            $this->get("/plans/{$this->row->id}/hand-over/preview?format={$format->value}")->assertOk();
        }
        $this->get("/plans/{$this->row->id}/hand-over/file?format=opml")->assertOk();
        $this->step('undo')->assertOk();
        self::assertSame('', $this->plan()->topic($topic)->note?->plainText() ?? '');
        $this->step('redo')->assertOk();
        self::assertStringContainsString('at the bottom', (string) $this->plan()->topic($topic)->note?->plainText());
        $this->post("/plans/{$this->row->id}/history", ['name' => 'Deep'])->assertRedirect();
        $this->get("/plans/{$this->row->id}/history/{$this->row->refresh()->revision}")->assertOk();
    }

    #[DataProvider('types')]
    public function testWhatIsDeeperIsRefusedWithAReason(string $type): void
    {
        $said = $this->send([
            'type' => 'note',
            'topic' => $this->id('A'),
            'put' => [self::nested($type, self::deepest($type) + 2)],
            'remove' => [],
            'order' => null,
        ])
            ->assertStatus(422)
            ->json('message');
        self::assertStringContainsString('deep', (string) $said);
    }

    #[DataProvider('types')]
    public function testAFileThatIsDeeperComesInWithEveryWord(string $type): void
    {
        $tags = [
            'bulletList' => ['<ul><li>', '</li></ul>'],
            'orderedList' => ['<ol><li>', '</li></ol>'],
            'blockquote' => ['<blockquote>', '</blockquote>'],
        ][$type];
        foreach ([10, 30, 90] as $deep) {
            $words
                = implode('', array_map(static fn(int $i): string => "{$tags[0]}level{$i} ", range(1, $deep)))
                . str_repeat($tags[1], $deep);
            $token = (string) $this->post(
                '/intake/files',
                ['file' => \Illuminate\Http\UploadedFile::fake()->createWithContent('a.html', "<h1>Head</h1><p>First.</p>{$words}")],
                ['Accept' => 'application/json'],
            )
                ->assertOk()
                ->json('token');
            $address = (string) $this->postJson('/intake', ['token' => $token])
                ->assertOk()
                ->json('address');
            $this->row = PlanRow::query()->findOrFail(basename($address));
            $all = implode(
                ' ',
                array_map(static fn($topic): string => $topic->title . ' ' . ($topic->note?->plainText() ?? ''), $this->plan()->topics),
            );
            foreach (range(1, $deep) as $i) {
                self::assertMatchesRegularExpression("/level{$i}\\b/", $all, "{$type}, {$deep} deep");
            }
        }
    }

    public function testFoldingTopicsThatHoldDeepNotesIsKeptOrRefusedWithAReason(): void
    {
        $deep = self::nested('bulletList', self::deepest('bulletList'));
        $this->send(['type' => 'note', 'topic' => $this->id('A1'), 'put' => [$deep], 'remove' => [], 'order' => null])->assertOk();
        $before = $this->outline();
        $answer = $this->send([
            'type' => 'fold',
            'ids' => [$this->id('A1')],
            'into' => null,
            'as' => 'list',
            'seed' => self::newId(),
            'cite' => (object) [],
        ]);
        $answer->assertOk();
        $refused = $answer->json('refused');
        if ($refused !== []) {
            self::assertStringContainsString('deep', (string) $refused[0]['message']);
            self::assertSame($before, $this->outline());
        } else {
            self::assertStringContainsString('at the bottom', (string) $this->plan()->topic($this->id('A'))->note?->plainText());
        }
    }
}
