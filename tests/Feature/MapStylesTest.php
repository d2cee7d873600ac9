<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Tests\Core\Build\Package;

/** Styles of the map of one's own over HTTP: kept, seen, handed over, given as a file, and nobody else's business. */
final class MapStylesTest extends TestCase
{
    private const STYLE = ['name' => 'Night shift', 'ground' => '#13202e', 'lettering' => 'serif']
        + ['forms' => ['filled', 'framed', 'plain']];

    private function another(): User
    {
        return User::query()->create(['name' => 'Other', 'email' => 'other@example.org', 'password' => 'a long secret']);
    }

    /** @param array<string, mixed> $more */
    private function keep(array $more = []): string
    {
        return (string) $this->postJson('/map-styles', ['style' => $more + self::STYLE])->assertOk()->json('id');
    }

    private static function upload(string $bytes, string $name = 'a.png'): UploadedFile
    {
        return UploadedFile::fake()->createWithContent($name, $bytes);
    }

    private function backOf(string $bytes): string
    {
        return (string) $this->post('/map-styles/pictures', ['file' => self::upload($bytes)])->assertOk()->json('id');
    }

    public function testOneIsKeptUnderItsNameAndChangedUnderIt(): void
    {
        $this->actingAs($this->user);
        $id = $this->keep();
        self::assertSame($id, $this->keep(['room' => 2]), 'One of that name is changed.');
        $this->getJson('/map-styles')->assertOk()
            ->assertJsonPath("kept.{$id}.room", 2)->assertJsonPath("kept.{$id}.ground", '#13202e');
        foreach ([
            'needs a name' => ['name' => ' '],
            'Embrel’s own' => ['name' => 'Reed'],
            'from 0.3 to 2.5' => ['name' => 'Wide', 'room' => 900],
            'picture of this style' => ['name' => 'Gone', 'picture' => str_repeat('a', 64)],
        ] as $says => $style) {
            $said = $this->postJson('/map-styles', ['style' => $style])->assertStatus(422)->json('message');
            self::assertStringContainsString($says, (string) $said);
        }
        $this->postJson('/map-styles', ['style' => 'dark'])->assertStatus(422);
        $this->deleteJson("/map-styles/{$id}")->assertOk()->assertJsonPath('id', null);
        self::assertSame([], $this->getJson('/map-styles')->json('kept'));
    }

    public function testAPlanIsSeenInItAndHandedOverInIt(): void
    {
        $this->actingAs($this->user);
        $row = $this->start("Clay\n  Tide");
        $id = $this->keep();
        $told = $this->postJson("/plans/{$row->id}/map", ['map' => ['look' => ['own' => $id]], 'keep' => true])->assertOk();
        $told->assertJsonPath('look.own', $id)->assertJsonPath('look.lettering', 'serif')->assertJsonPath('look.inks.sheet', '#13202e');
        $this->get("/plans/{$row->id}/hand-over?format=svg")->assertOk()->assertSee('Night shift');
        $file = fn(string $more): string => $this->get("/plans/{$row->id}/hand-over/file?format=svg{$more}")->assertOk()->streamedContent();
        foreach (['&seen=1', "&style={$id}"] as $as) {
            self::assertStringContainsString('fill="#13202e"', $file($as), $as);
        }
        foreach (['', '&seen=1&style=dense', '&style=01ARZ3NDEKTSV4RRFFQ69G5FAV', '&style=starry'] as $as) {
            self::assertStringNotContainsString('#13202e', $file($as), "{$as} is none of one's own.");
        }
        $this->deleteJson("/map-styles/{$id}")->assertOk();
        $this->postJson("/plans/{$row->id}/map", ['map' => ['look' => ['own' => $id]]])
            ->assertOk()
            ->assertJsonPath('look.lettering', 'sans');
    }

    public function testItIsShownToAnAudienceInTheFilmAndInAPageThatStandsAlone(): void
    {
        $this->actingAs($this->user);
        $row = $this->start("Clay\n  Tide");
        $id = $this->keep(['picture' => $this->backOf(Package::png(30, 20))]);
        $this->postJson("/plans/{$row->id}/map", ['map' => ['look' => ['own' => $id]], 'keep' => true])->assertOk();
        foreach (["/plans/{$row->id}/present/map", "/plans/{$row->id}/film/map/1"] as $address) {
            $this->getJson($address)->assertOk()->assertJsonPath('look.inks.sheet', '#13202e');
        }
        $alone = $this->get("/plans/{$row->id}/hand-over/file?format=alone&style={$id}")->assertOk()->streamedContent();
        self::assertStringContainsString('"lettering":"serif"', $alone);
        self::assertStringContainsString('"back":"data:image/jpeg;base64,', $alone);
        foreach (['map-pdf' => '%PDF', 'png' => "\x89PNG"] as $format => $begins) {
            $file = $this->get("/plans/{$row->id}/hand-over/file?format={$format}&style={$id}")->assertOk()->streamedContent();
            self::assertStringStartsWith($begins, $file);
        }
    }

    public function testOneThatIsBeingMadeIsSeenAndNotKept(): void
    {
        $this->actingAs($this->user);
        $row = $this->start("Clay\n  Tide");
        $look = static fn(mixed $dress): array => ['map' => ['look' => ['dress' => $dress]]];
        $this->postJson("/plans/{$row->id}/map", $look(self::STYLE))->assertOk()->assertJsonPath('look.lettering', 'serif');
        foreach (['dark', ['room' => 'wide'], ['forms' => []]] as $none) {
            $this->postJson("/plans/{$row->id}/map", $look($none))->assertOk()->assertJsonPath('look.lettering', 'sans');
        }
        self::assertSame(0, DB::table('map_styles')->count());
    }

    public function testItGoesToSomebodyElseAsAFileWithItsPicture(): void
    {
        $this->actingAs($this->user);
        $back = $this->backOf(Package::png(3000, 1200));
        $size = getimagesizefromstring((string) $this->get("/map-styles/pictures/{$back}")->assertOk()->getContent());
        self::assertSame([1600, 640, IMAGETYPE_JPEG], $size === false ? [] : [$size[0], $size[1], $size[2]], 'No larger than is handy.');
        $id = $this->keep(['picture' => $back]);
        $row = $this->start("Clay\n  Tide");
        self::assertStringContainsString(
            'preserveAspectRatio="xMidYMid slice"',
            $this->get("/plans/{$row->id}/hand-over/file?format=svg&style={$id}")->assertOk()->streamedContent(),
        );
        $file = (string) $this->get("/map-styles/{$id}")->assertOk()->getContent();

        $this->actingAs($this->another());
        $this->get("/map-styles/{$id}")->assertNotFound();
        $this->get("/map-styles/pictures/{$back}")->assertNotFound();
        $this->deleteJson("/map-styles/{$id}")->assertOk();
        $upload = fn(string $bytes) => $this->post('/map-styles/file', ['file' => self::upload($bytes, 'a.json')]);
        $taken = $upload($file)->assertOk();
        $new = (string) $taken->json('id');
        self::assertSame(['Night shift', 'serif'], [$taken->json("kept.{$new}.name"), $taken->json("kept.{$new}.lettering")]);
        $this->get('/map-styles/pictures/' . $taken->json("kept.{$new}.picture"))->assertOk();
        self::assertContains('Night shift 2', array_column($upload($file)->assertOk()->json('kept'), 'name'), 'Beside the first.');
        $small = $upload(str_replace('Night shift', 'NIGHT SHIFT', $file))->assertOk()->json('kept');
        self::assertCount(3, $small, 'Written otherwise it is the same name, and nothing is written over.');
        $upload('{"kind": "poem"}')->assertStatus(422)->assertJsonPath('message', 'This is not the file of a map style.');
        $this->postJson('/map-styles/file')->assertStatus(422);

        $this->actingAs($this->user);
        self::assertSame([$id], array_keys($this->getJson('/map-styles')->json('kept')), 'What another removed was not hers.');
    }

    public function testPicturesThatAreInNoStyleGoAfterADay(): void
    {
        $this->actingAs($this->user);
        [$used, $unused] = [$this->backOf(Package::png(30, 20)), $this->backOf(Package::png(50, 20))];
        $this->keep(['picture' => $used]);
        $this->travel(25)->hours();
        $this->backOf(Package::png(70, 20));
        $this->get("/map-styles/pictures/{$used}")->assertOk();
        $this->get("/map-styles/pictures/{$unused}")->assertNotFound();
        $this->post('/map-styles/pictures', ['file' => self::upload('<svg onload="x()"/>')])->assertStatus(422);
        $this->post('/map-styles/pictures', ['file' => 'a.png'])->assertStatus(422);
    }
}
