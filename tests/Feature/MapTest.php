<?php

declare(strict_types=1);

namespace Tests\Feature;

use Embrel\Limits;
use Embrel\Plan\Plan;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;

/** The map as a page asks for it, its looks, relations, and the pictures on topics. */
final class MapTest extends TestCase
{
    /** @param array<string, mixed> $asked */
    private function map(array $asked = [], bool $keep = false): \Illuminate\Testing\TestResponse
    {
        return $this->postJson("/plans/{$this->row->id}/map", ['map' => $asked + ['look' => []], 'keep' => $keep]);
    }

    public function testAMainSectionThatIsKnownIsToldByItsFingerprintAlone(): void
    {
        $told = $this->map()->assertOk()->json();
        $titles = array_map(static fn(array $section): string => $section['topics'][0][11][0], $told['sections']);
        self::assertStringContainsString($titles[0], $this->outline());
        $known = array_column($told['sections'], 'print', 'id');
        self::assertSame(
            [],
            array_filter($this->map(['known' => $known])->json('sections'), static fn(array $section): bool => isset($section['topics'])),
        );
        $first = $told['sections'][0]['id'];
        $answer = $this->postJson("/plans/{$this->row->id}/operations", [
            'base' => $this->row->refresh()->revision,
            'operations' => [
                ['id' => self::newId(), 'step' => self::newId(), 'type' => 'retitle', 'topic' => $first, 'title' => 'Another title'],
            ],
            'map' => ['look' => [], 'known' => $known],
        ])
            ->assertOk()
            ->json('map.sections');
        self::assertSame([$first], array_column(array_filter($answer, static fn(array $section): bool => isset($section['topics'])), 'id'));
        self::assertSame(['Another title'], $answer[0]['topics'][0][11]);
    }

    public function testALookIsKeptForThePersonAlone(): void
    {
        $this->map(['look' => ['arrangement' => 'round', 'style' => 'broad', 'wrap' => 200]], true)
            ->assertOk()
            ->assertJsonPath('look.style', 'broad');
        $this->map(['look' => ['arrangement' => 'both']])->assertJsonPath('look.arrangement', 'both');
        $this->get("/plans/{$this->row->id}/map")
            ->assertOk()
            ->assertSee('"arrangement":"round"', false);
        $this->get("/plans/{$this->row->id}/hand-over?format=svg&seen=1")->assertOk();
        $svg = $this->get("/plans/{$this->row->id}/hand-over/file?format=svg&seen=1")
            ->assertOk()
            ->assertHeader('Content-Type', 'image/svg+xml')
            ->streamedContent();
        self::assertStringContainsString('scale(-1 1)', $svg);
        self::assertSame(1, DB::table('plan_views')->where('plan_id', $this->row->id)->whereNotNull('map')->count());
    }

    public function testRelationsAreKeptToldUndoneAndGoWithTheirTopics(): void
    {
        [$one, $other, $relation] = [$this->id('A'), $this->id('A1'), self::newId()];
        $this->send([
            'type' => 'relate',
            'relations' => [
                [
                    'id' => $relation,
                    'from' => $one,
                    'to' => $other,
                    'label' => 'holds',
                    'arrows' => 'both',
                    'dye' => 'fern',
                    'bend' => null,
                ],
            ],
        ])
            ->assertOk()
            ->assertJsonPath('relations.0.label', 'holds');
        $this->send(['type' => 'relation', 'relation' => $relation, 'set' => ['bend' => [40, -20]]])->assertJsonPath('relations.0.bend', [
            40,
            -20,
        ]);
        self::assertCount(1, $this->map()->json('relations'));
        $this->send(['type' => 'relation', 'relation' => $relation, 'set' => ['dye' => 'puce']])->assertJsonPath(
            'refused.0.reason',
            'value',
        );
        $this->send(['type' => 'relate', 'relations' => [['id' => self::newId(), 'from' => $one, 'to' => $one]]])->assertUnprocessable();
        $this->send(['type' => 'remove', 'ids' => [$one]])->assertOk();
        self::assertSame([], $this->map()->json('relations'));
        $this->postJson("/plans/{$this->row->id}/undo", ['base' => 0])->assertOk();
        self::assertCount(1, $this->map()->json('relations'));
        $this->send(['type' => 'unrelate', 'ids' => [$relation]])
            ->assertOk()
            ->assertJsonPath('relations', []);
        $this->postJson("/plans/{$this->row->id}/undo", ['base' => 0])
            ->assertOk()
            ->assertJsonPath('relations.0.label', 'holds');
        $svg = $this->get("/plans/{$this->row->id}/hand-over/file?format=svg")->streamedContent();
        self::assertStringContainsString('>holds</text>', $svg);
        self::assertStringContainsString(
            'e:relations',
            $this->get("/plans/{$this->row->id}/hand-over/file?format=opml")->streamedContent(),
        );
    }

    public function testAPictureIsWrittenAnewAndHandedOver(): void
    {
        $jpeg = self::drawn(static fn(\GdImage $image) => imagejpeg($image));
        // An Exif header that says: turn to the right. Its text must not survive.
        $exif = "Exif\0\0MM\0\x2A\0\0\0\x08\0\x02\x01\x12\0\x03\0\0\0\x01\0\x06\0\0\x01\x0E\0\x02\0\0\0\x08\0\0\0\x26\0\0\0\0SECRET!\0";
        $jpeg = substr($jpeg, 0, 2) . "\xFF\xE1" . pack('n', \strlen($exif) + 2) . $exif . substr($jpeg, 2);
        $picture = $this->upload($jpeg, 'held.jpg')->assertOk()->assertJsonPath('said', [])->json('picture');
        self::assertMatchesRegularExpression('/\A[0-9a-f]{64}:40x60@40\z/', $picture, 'It was 60 by 40 and held on its side.');
        $address = "/plans/{$this->row->id}/pictures/" . substr($picture, 0, 64);
        $bytes = (string) $this->get($address)->assertOk()->assertHeader('Content-Type', 'image/jpeg')->getContent();
        self::assertStringNotContainsString('SECRET', $bytes);
        $this->send(['type' => 'picture', 'ids' => [$this->id('A1')], 'value' => $picture])
            ->assertOk()
            ->assertJsonPath('topics.0.picture', $picture);
        self::assertStringContainsString(substr($picture, 0, 64), $this->map()->getContent() ?: '');
        self::assertStringContainsString(
            'data:image/jpeg;base64,',
            $this->get("/plans/{$this->row->id}/hand-over/file?format=svg")->streamedContent(),
        );
        $this->get("/plans/{$this->row->id}/hand-over/preview?format=docx")->assertSee($address, false);
        $docx = tempnam(sys_get_temp_dir(), 'embrel-');
        file_put_contents($docx, $this->get("/plans/{$this->row->id}/hand-over/file?format=docx")->streamedContent());
        $zip = new \ZipArchive();
        $zip->open($docx);
        self::assertSame($bytes, $zip->getFromName('word/media/p1.jpeg'));
        self::assertStringContainsString('r:embed="p1"', (string) $zip->getFromName('word/document.xml'));
        unlink($docx);

        $this->actingAs($this->account('mallory'));
        $this->get($address)->assertNotFound();
        $this->upload($jpeg, 'x.jpg')->assertNotFound();
    }

    public function testACopyInAnotherPlanKeepsItsPicture(): void
    {
        $picture = $this->upload(self::drawn(static fn(\GdImage $image) => imagepng($image)), 'a.png')->json('picture');
        $this->send(['type' => 'picture', 'ids' => [$this->id('A1')], 'value' => $picture]);
        $from = $this->row;
        $topic = $this->id('A1');
        $this->row = $this->start('X');
        $this->postJson("/plans/{$this->row->id}/copies", [
            'id' => self::newId(),
            'base' => 1,
            'from' => $from->id,
            'topics' => [$topic],
            'parent' => Plan::ROOT,
            'after' => null,
        ])->assertOk();
        $this->get("/plans/{$this->row->id}/pictures/" . substr($picture, 0, 64))->assertOk();
    }

    /** @return iterable<string, array{string, string}> */
    public static function unwelcome(): iterable
    {
        yield 'SVG' => [
            '<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>',
            'An SVG file is a small program',
        ];
        yield 'text' => ['hello', 'This is not a picture'];
        yield 'damaged' => [substr(self::drawn(static fn(\GdImage $image) => imagepng($image)), 0, 60), 'damaged'];
        yield 'too large' => [str_repeat('x', Limits::PICTURE + 1), '10 MB at most'];
        // The head of a PNG of 6,000 by 6,000.
        yield 'too many pixels' => [
            "\x89PNG\r\n\x1a\n\0\0\0\x0DIHDR" . pack('NN', 6000, 6000) . "\x08\x02\0\0\0" . str_repeat("\0", 40),
            '24 million',
        ];
    }

    #[DataProvider('unwelcome')]
    public function testWhatIsNoPictureIsRefusedWithAReason(string $bytes, string $says): void
    {
        $this->upload($bytes, 'x.png')->assertUnprocessable()->assertSee($says);
        self::assertSame(0, DB::table('pictures')->count());
    }

    public function testAMovingPictureIsReducedToItsFirstAndThatIsSaid(): void
    {
        $frame = "\x21\xF9\x04\x00\x0A\x00\x00\x00\x2C\0\0\0\0\x01\x00\x01\x00\x00\x02\x02\x44\x01\x00";
        $gif
            = "GIF89a\x01\x00\x01\x00\x80\x00\x00\xFF\xFF\xFF\x00\x00\x00\x21\xFF\x0BNETSCAPE2.0\x03\x01\x00\x00\x00"
            . $frame
            . $frame
            . "\x3B";
        self::assertSame(['It moves; its first picture was taken.'], $this->upload($gif, 'x.gif')->assertOk()->json('said'));
        self::assertSame('image/png', DB::table('pictures')->value('type'));
    }

    private function upload(string $bytes, string $name): \Illuminate\Testing\TestResponse
    {
        return $this->post(
            "/plans/{$this->row->id}/pictures",
            ['picture' => UploadedFile::fake()->createWithContent($name, $bytes)],
            ['Accept' => 'application/json'],
        );
    }

    /** @param \Closure(\GdImage): mixed $write */
    private static function drawn(\Closure $write): string
    {
        $image = imagecreatetruecolor(60, 40);
        imagefilledrectangle($image, 0, 0, 30, 40, (int) imagecolorallocate($image, 200, 30, 30));
        ob_start();
        $write($image);

        return (string) ob_get_clean();
    }
}
