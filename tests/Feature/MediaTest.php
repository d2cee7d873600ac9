<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Store\Attachments;
use Embrel\Limits;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;

/** Sounds and films on topics: what is taken, how it is played, and who may. */
final class MediaTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->row = $this->start("A\nB");
    }

    /** A sound of so many seconds, in silence: 8,000 bytes each. */
    private static function wave(int $seconds): string
    {
        $size = 8000 * $seconds;

        return 'RIFF' . pack('V', 36 + $size) . 'WAVEfmt ' . pack('VvvVVvv', 16, 1, 1, 8000, 8000, 1, 8)
            . 'data' . pack('V', $size) . str_repeat("\x80", $size);
    }

    /** The head of a Matroska file as browsers record it, with a track of a codec. */
    private static function recorded(string $codec): string
    {
        return "\x1A\x45\xDF\xA3\x9F\x42\x86\x81\x01\x42\xF7\x81\x01\x42\xF2\x81\x04\x42\xF3\x81\x08\x42\x82\x84webm\x42\x87\x81\x04\x42\x85\x81\x02"
            . "\x18\x53\x80\x67\x01\xFF\xFF\xFF\xFF\xFF\xFF\xFF\x86" . \chr(0x80 + \strlen($codec)) . $codec . str_repeat("\0", 64);
    }

    private function kept(string $name, string $bytes, ?string $id = null): TestResponse
    {
        return $this->post("/plans/{$this->row->id}/attachments", [
            'id' => $id ?? self::newId(),
            'holder' => $this->id('A'),
            'file' => UploadedFile::fake()->createWithContent($name, $bytes),
        ], ['Accept' => 'application/json']);
    }

    /** @return iterable<string, array{string, string, string, string}> name, bytes, the name that it gets, what it is */
    public static function media(): iterable
    {
        yield 'a wave' => ['bell.wav', self::wave(1), 'bell.wav', 'sound'];
        yield 'a sound that a browser recorded' => ['note.weba', self::recorded('A_OPUS'), 'note.weba', 'sound'];
        yield 'a film that a browser recorded' => ['tide.webm', self::recorded('V_VP8'), 'tide.webm', 'film'];
        yield 'a film called a sound' => ['tide.mp3', self::recorded('V_VP9'), 'tide.webm', 'film'];
    }

    #[DataProvider('media')]
    public function testWhatItIsSaysItsContent(string $name, string $bytes, string $called, string $plays): void
    {
        $files = $this->kept($name, $bytes)->assertOk()->json('files');
        self::assertSame([$called, $plays], [$files[0]['name'], $files[0]['plays']]);
    }

    public function testItIsPlayedInPiecesFromWhereAPlayerAsks(): void
    {
        $this->kept('bell.wav', $bytes = self::wave(2), $id = self::newId())->assertOk();
        $at = "/plans/{$this->row->id}/attachments/{$id}/play";
        $whole = $this->get($at)->assertOk();
        self::assertSame($bytes, $whole->streamedContent());
        $whole->assertHeader('Accept-Ranges', 'bytes')->assertHeader('Content-Length', (string) \strlen($bytes));
        self::assertStringContainsString('sandbox', (string) $whole->headers->get('Content-Security-Policy'));
        $asked = ['bytes=100-199' => [100, 199], 'bytes=16000-' => [16000, 16043], 'bytes=-10' => [16034, 16043]];
        foreach ($asked as $range => [$from, $to]) {
            $part = $this->get($at, ['Range' => $range])->assertStatus(206);
            self::assertSame("bytes {$from}-{$to}/16044", $part->headers->get('Content-Range'));
            self::assertSame(substr($bytes, $from, $to - $from + 1), $part->streamedContent());
        }
        $this->get($at, ['Range' => 'bytes=20000-'])->assertStatus(416)->assertHeader('Content-Range', 'bytes */16044');
        foreach (['bytes=5-2', 'bytes=0-0,4-5', 'lines=1-2', 'bytes=-'] as $odd) {
            self::assertContains($this->get($at, ['Range' => $odd])->getStatusCode(), [200, 416], $odd);
        }
    }

    public function testNothingElseIsPlayedAndNobodyElseHearsIt(): void
    {
        $this->kept('page.txt', 'Some words.', $id = self::newId())->assertOk();
        $this->get("/plans/{$this->row->id}/attachments/{$id}/play")->assertNotFound();
        $this->kept('bell.wav', self::wave(1), $id = self::newId())->assertOk();
        $at = "/plans/{$this->row->id}/attachments/{$id}/play";
        $this->deleteJson("/plans/{$this->row->id}/attachments/{$id}")->assertOk();
        $this->get($at)->assertNotFound();
        $this->deleteJson("/plans/{$this->row->id}/attachments/{$id}", ['back' => true])->assertOk();
        $this->actingAs($this->account('ben'))->get($at)->assertNotFound();
    }

    public function testALargeFilmIsTakenInLittleMemoryAndOneThatIsTooLargeIsRefused(): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'film');
        $out = fopen($path, 'w') ?: self::fail();
        fwrite($out, self::recorded('V_VP8'));
        ftruncate($out, Limits::MEDIA);
        $before = memory_get_peak_usage(true);
        memory_reset_peak_usage();
        Attachments::keep($this->row->id, self::newId(), $this->id('A'), 'long.webm', new \SplFileInfo($path));
        self::assertLessThan(32 << 20, memory_get_peak_usage(true) - min($before, memory_get_usage(true)));
        ftruncate($out, Limits::MEDIA + 1);
        fclose($out);
        try {
            Attachments::keep($this->row->id, self::newId(), $this->id('A'), 'longer.webm', new \SplFileInfo($path));
            self::fail('It is too large.');
        } catch (\DomainException $why) {
            self::assertStringContainsString('a film 100 MB', $why->getMessage());
        } finally {
            unlink($path);
        }
        DB::table('attachments')->where('plan_id', $this->row->id)->update(['bytes' => Limits::MEDIA_ALL]);
        self::assertStringContainsString('1 GB', (string) $this->kept('bell.wav', self::wave(1))->assertStatus(422)->json('message'));
        // Documents have room of their own.
        $this->kept('page.txt', 'Some words.')->assertOk();
    }

    public function testItIsToldToWhoPresentsAndToNoScreenElsewhere(): void
    {
        $this->kept('bell.wav', self::wave(1))->assertOk();
        $deck = $this->getJson("/plans/{$this->row->id}/present/deck")->assertOk();
        self::assertSame([['bell.wav', 'sound']], array_map(
            static fn(array $one): array => [$one['name'], $one['plays']],
            $deck->json('media')[$this->id('A')],
        ));
    }
}
