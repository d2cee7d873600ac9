<?php

declare(strict_types=1);

namespace Tests\Feature;

final class FindTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->row = $this->start("The marsh\n  Birds of the marsh\nMarsh law\n  Nothing");
        $this->send([
            'type' => 'note',
            'topic' => $this->id('Nothing'),
            'put' => [
                [
                    'type' => 'paragraph',
                    'attrs' => ['id' => self::newId()],
                    'content' => [['type' => 'text', 'text' => 'Salt marsh and more marshes']],
                ],
            ],
            'remove' => [],
            'order' => null,
            'was' => [],
        ]);
    }

    /** @param array<string, mixed> $query */
    private function find(array $query): array
    {
        return $this->getJson("/plans/{$this->row->id}/find?" . http_build_query($query))
            ->assertOk()
            ->json('hits');
    }

    public function testTitlesAndNotesAreSearchedInReadingOrder(): void
    {
        $hits = $this->find(['text' => 'marsh']);
        self::assertSame(
            ['The marsh', 'Birds of the marsh', 'Marsh law', 'Salt marsh and more marshes', 'Salt marsh and more marshes'],
            array_map(static fn(array $hit): string => $hit['before'] . $hit['match'] . $hit['after'], $hits),
        );
        self::assertCount(4, $this->find(['text' => 'marsh', 'whole' => 1]));
        self::assertCount(1, $this->find(['text' => 'Marsh', 'case' => 1]));
        self::assertCount(2, $this->find(['text' => 'marsh', 'within' => $this->id('The marsh')]));
        self::assertSame([], $this->find(['text' => '']));
        self::assertSame([], $this->find(['text' => '%_\\']));
    }

    public function testChosenHitsAreReplacedInOneStep(): void
    {
        $before = $this->outline();
        $hits = $this->find(['text' => 'marsh']);
        $chosen = array_column([$hits[0], $hits[2], $hits[3], $hits[4]], 'key');
        $answer = $this->postJson("/plans/{$this->row->id}/find", [
            'base' => $this->row->refresh()->revision,
            'text' => 'marsh',
            'with' => 'fen',
            'chosen' => $chosen,
        ])->assertOk();
        self::assertSame(4, $answer->json('replaced'));
        self::assertSame('Replaced “marsh” with “fen” in 4 places', $answer->json('steps.undo'));
        self::assertSame("The fen\n  Birds of the marsh\nfen law\n  Nothing", $this->outline());
        self::assertSame('Salt fen and more fenes', $this->plan()->topic($this->id('Nothing'))->note?->plainText());
        $this->step('undo')->assertOk();
        self::assertSame($before, $this->outline());
        self::assertSame('Salt marsh and more marshes', $this->plan()->topic($this->id('Nothing'))->note?->plainText());
    }

    public function testWhatIsNoLongerThereIsNotReplaced(): void
    {
        [$hit] = $this->find(['text' => 'marsh']);
        $this->send(['type' => 'retitle', 'topic' => $this->id('The marsh'), 'title' => 'A longer title before marsh']);
        $this->postJson("/plans/{$this->row->id}/find", ['base' => 0, 'text' => 'marsh', 'with' => 'fen', 'chosen' => [$hit['key']]])
            ->assertStatus(409)
            ->assertJsonFragment(['message' => 'None of these places is as it was; nothing was replaced. Search again.']);
    }
}
