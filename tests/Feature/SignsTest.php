<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Plan as PlanRow;
use Embrel\Plan\Sign;
use Tests\Core\Build\Package;

/** Signs on topics over HTTP: found, put on, told with their forms, taken back, handed over. */
final class SignsTest extends TestCase
{
    public function testTheyAreFoundByWords(): void
    {
        $this->actingAs($this->user);
        self::assertSame(Sign::of('anchor')->form(), $this->getJson('/signs?words=anch')->assertOk()->json('signs.anchor.0'));
        self::assertSame('anchor', array_key_first($this->getJson('/signs?words=anchor')->json('signs')));
        self::assertSame('{"signs":{}}', $this->getJson('/signs?words=' . str_repeat('xyl', 900))->assertOk()->getContent());
        self::assertCount(48, $this->getJson('/signs?words[]=a')->assertOk()->json('signs'), 'What is no text asks for nothing.');
    }

    public function testOneIsPutOnATopicToldWithItsFormAndTakenBack(): void
    {
        $this->actingAs($this->user);
        $this->row = $row = $this->start("Harbour\n  Boats");
        $put = fn(string $value, int $base) => $this->postJson("/plans/{$row->id}/operations", ['base' => $base, 'operations' => [
            ['id' => self::newId(), 'step' => self::newId(), 'type' => 'sign', 'ids' => [$this->id('Harbour')], 'value' => $value],
        ]]);
        $told = $put('anchor', 0)->assertOk()->json();
        self::assertSame([], $told['refused']);
        self::assertSame(['anchor' => [Sign::of('anchor')->form(), 'anchor']], $told['signs']);
        $put('kraken', 1)->assertStatus(422);
        $map = fn(): mixed => $this->postJson("/plans/{$row->id}/map", ['map' => ['look' => []]])->assertOk()->json('signs.anchor');
        self::assertSame($told['signs']['anchor'], $map());
        $this->get("/plans/{$row->id}")->assertOk()->assertSee(Sign::of('anchor')->form(), false);
        $at = "/plans/{$row->id}/hand-over/file?format=html";
        $file = fn(string $more): string => $this->get($at . $more)->assertOk()->streamedContent();
        self::assertStringContainsString(Sign::of('anchor')->form(), $file('&signs=1'));
        self::assertStringNotContainsString(Sign::of('anchor')->form(), $file(''));
        $this->postJson("/plans/{$row->id}/undo", ['base' => 1])->assertOk();
        self::assertNull($map());
    }

    public function testTheyAreInWordProcessorDocumentsAndGoAlongToAnotherPlan(): void
    {
        $this->actingAs($this->user);
        $this->row = $row = $this->start("Harbour\n  Boats");
        $this->postJson("/plans/{$row->id}/operations", ['base' => 0, 'operations' => [
            ['id' => self::newId(), 'step' => self::newId(), 'type' => 'sign', 'ids' => [$this->id('Harbour')], 'value' => 'anchor'],
        ]])->assertOk();
        foreach (['docx' => 'word/document.xml', 'odt' => 'content.xml'] as $format => $part) {
            $file = $this->get("/plans/{$row->id}/hand-over/file?format={$format}&signs=1")->assertOk()->streamedContent();
            self::assertStringContainsString('Sign: anchor', Package::parts($file)[$part], $format);
        }
        $this->get("/plans/{$row->id}/hand-over/preview?format=pdf&signs=1")->assertOk()->assertSee('stroke-linecap="round"', false);
        self::assertStringContainsString('e:sign="anchor"', $this->get("/plans/{$row->id}/hand-over/file?format=opml")->streamedContent());
        $before = PlanRow::query()->pluck('id')->all();
        $this->postJson("/plans/{$row->id}/duplicate")->assertRedirect();
        $copy = PlanRow::query()->whereKeyNot($before)->sole();
        $this->get("/plans/{$copy->id}")->assertOk()->assertSee(Sign::of('anchor')->form(), false);
    }
}
