<?php

declare(strict_types=1);

namespace Tests\Feature;

/** Numbers in forms of one's own over HTTP: seen, kept under a name, used. */
final class NumberFormsTest extends TestCase
{
    private const FORMS = ['§ {1}', '§ {1}.{a}'];

    public function testTheyAreSeenBeforeTheyAreUsed(): void
    {
        $this->actingAs($this->user)
            ->postJson('/number-forms/preview', ['forms' => ['Part {One}', '{1}.{i}'], 'language' => 'en'])
            ->assertOk()
            ->assertExactJson(['shown' => [['Part One', 'Part Two', 'Part Three'], ['1.i', '1.ii', '1.iii']]]);
        $this->postJson('/number-forms/preview', ['forms' => ['Part']])->assertStatus(422)->assertJsonPath(
            'message',
            '“Part” has no count in it. Write it in braces, as {1}.',
        );
        foreach ([[], ['forms' => 'x'], ['forms' => []], ['forms' => [['x']]], ['forms' => array_fill(0, 10, '{1}')]] as $broken) {
            $this->postJson('/number-forms/preview', $broken)->assertStatus(422);
        }
    }

    public function testTheyAreKeptUnderANameThatIsOnesOwn(): void
    {
        $this->actingAs($this->user)->postJson('/number-forms', ['name' => 'Law', 'forms' => ['{1}.']])->assertOk();
        $kept = $this->postJson('/number-forms', ['name' => 'Law', 'forms' => self::FORMS])->assertOk()->json('kept');
        self::assertSame(['name' => 'Law', 'forms' => self::FORMS, 'own' => true], end($kept));
        self::assertCount(5, $kept, 'One of that name is kept anew.');
        $this->postJson('/number-forms', ['name' => '', 'forms' => self::FORMS])->assertStatus(422);
        $this->postJson('/number-forms', ['name' => 'Other', 'forms' => ['no count']])->assertStatus(422);
        $this->postJson('/number-forms', ['name' => $kept[0]['name'], 'forms' => self::FORMS])->assertStatus(422);

        $another = $this->account('another');
        $this->actingAs($another)->getJson('/number-forms')->assertOk()->assertJsonCount(4, 'kept');
        $this->deleteJson('/number-forms', ['name' => 'Law'])->assertOk();
        $this->actingAs($this->user)->getJson('/number-forms')->assertJsonCount(5, 'kept');
        $this->deleteJson('/number-forms', ['name' => 'Law'])->assertOk()->assertJsonCount(4, 'kept');
    }

    public function testAPlanIsNumberedSoAndBackInOneStep(): void
    {
        $this->row = $this->start("A\n  B");
        $this->actingAs($this->user)->send(['type' => 'plan', 'set' => ['numbering' => 'own', 'number_forms' => self::FORMS]])->assertOk();
        self::assertSame(self::FORMS, $this->plan()->properties->numberForms);
        $text = $this->get("/plans/{$this->row->id}/hand-over/file?format=txt")->assertOk()->streamedContent();
        self::assertStringContainsString("§ 1 A\n  § 1.a B", $text);
        $broken = $this->send(['type' => 'plan', 'set' => ['number_forms' => ['{x}']]])->assertOk()->json('refused.0.message');
        self::assertStringContainsString('is no way to write a count', (string) $broken);
        $this->step('undo')->assertOk();
        self::assertSame([], $this->plan()->properties->numberForms);
        self::assertSame('decimal', $this->plan()->properties->scheme->value);
    }
}
