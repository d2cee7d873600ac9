<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Layout\Map\Dress;
use Embrel\Layout\Map\DressFile;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Package;

/** The command line, run as its users run it. */
final class CommandTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir() . '/embrel-cli-' . bin2hex(random_bytes(6));
        mkdir($this->folder);
        file_put_contents("{$this->folder}/in.txt", "1. Tide\n\t1.1 Mud\n2. Wall\n");
        file_put_contents("{$this->folder}/bad.opml", '<opml><body><outline');
    }

    protected function tearDown(): void
    {
        exec('rm -rf ' . escapeshellarg($this->folder));
    }

    /** @return array{int, string, string} exit code, output, errors */
    private function embrel(string ...$arguments): array
    {
        $process = proc_open(
            [PHP_BINARY, dirname(__DIR__, 2) . '/bin/embrel', ...$arguments],
            [1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
            $pipes,
            $this->folder,
        );
        self::assertIsResource($process);
        $output = (string) stream_get_contents($pipes[1]);
        $errors = (string) stream_get_contents($pipes[2]);

        return [proc_close($process), $output, $errors];
    }

    public function testInspectPrintsWhatIsInAFile(): void
    {
        [$code, $output] = $this->embrel('inspect', 'in.txt');
        self::assertSame(0, $code);
        self::assertSame(
            [
                'title' => 'in',
                'topics' => 3,
                'by_level' => [2, 1],
                'words' => 0,
                'pictures' => 0,
                'links' => 0,
                'titles' => ['1. Tide', '1.1 Mud', '2. Wall'],
            ],
            json_decode($output, true),
        );
        self::assertSame(['Tide', 'Mud', 'Wall'], json_decode($this->embrel('inspect', 'in.txt', '--strip-numbers')[1], true)['titles']);
    }

    public function testConvertTakesItsChoices(): void
    {
        self::assertSame(0, $this->embrel('convert', 'in.txt', 'out.txt', '--strip-numbers', '--numbering=essay', '--number-depth=1')[0]);
        self::assertSame("in\n\nI. Tide\n  Mud\nII. Wall\n", file_get_contents("{$this->folder}/out.txt"));
        foreach (['docx', 'opml', 'md'] as $format) {
            self::assertSame(0, $this->embrel('convert', 'in.txt', "out.{$format}", '--no-contents', '--no-notes', '--heading-depth=2')[0]);
            self::assertGreaterThan(20, filesize("{$this->folder}/out.{$format}"));
        }
    }

    public function testConvertDrawsTheMap(): void
    {
        foreach (['spine', 'both', 'round'] as $arrangement) {
            self::assertSame([0, '', ''], $this->embrel('convert', 'in.txt', "{$arrangement}.svg", "--arrangement={$arrangement}"));
            self::assertStringContainsString(
                '>Wall</text>',
                (string) preg_replace('/>\d[\d.]* /', '>', (string) file_get_contents("{$this->folder}/{$arrangement}.svg")),
            );
        }
        self::assertNotSame(file_get_contents("{$this->folder}/spine.svg"), file_get_contents("{$this->folder}/round.svg"));
        self::assertSame([0, '', ''], $this->embrel('convert', 'in.txt', 'out.pdf', '--paper=a3', '--sheets', '--style=field'));
        self::assertStringStartsWith('%PDF-1.7', (string) file_get_contents("{$this->folder}/out.pdf"));
        file_put_contents("{$this->folder}/own.json", DressFile::write(new Dress('Mine', ground: '#13202e'), Package::png()));
        self::assertSame([0, '', ''], $this->embrel('convert', 'in.txt', 'own.svg', '--style=own.json'));
        $svg = (string) file_get_contents("{$this->folder}/own.svg");
        self::assertStringContainsString('fill="#13202e"', $svg);
        self::assertStringContainsString('data:image/png', $svg);
        file_put_contents("{$this->folder}/none.json", '{}');
        [$code, , $says] = $this->embrel('convert', 'in.txt', 'a.svg', '--style=none.json');
        self::assertSame(1, $code);
        self::assertStringContainsString('not the file of a map style', $says);
    }

    public function testConvertDrawsTheMapInPixels(): void
    {
        foreach (['png' => 'image/png', 'jpg' => 'image/jpeg', 'webp' => 'image/webp'] as $extension => $type) {
            $sizes = [];
            foreach ([1, 3] as $scale) {
                self::assertSame([0, '', ''], $this->embrel('convert', 'in.txt', "out.{$extension}", "--scale={$scale}"));
                $sizes[] = $size = getimagesize("{$this->folder}/out.{$extension}") ?: self::fail($extension);
                self::assertSame($type, $size['mime']);
            }
            self::assertEqualsWithDelta(3.0, $sizes[1][0] / $sizes[0][0], 0.02, $extension);
        }
    }

    /** @return iterable<string, array{list<string>, int, string}> */
    public static function mistakes(): iterable
    {
        yield 'nothing at all' => [[], 2, 'usage:'];
        yield 'unknown command' => [['explode', 'in.txt'], 2, 'usage:'];
        yield 'unknown option' => [['inspect', 'in.txt', '--fast'], 2, 'no option “--fast”'];
        yield 'unknown numbering' => [['convert', 'in.txt', 'out.txt', '--numbering=greek'], 2, 'no numbering called “greek”'];
        yield 'a depth of 12' => [['convert', 'in.txt', 'out.txt', '--heading-depth=12'], 2, 'between 1 and 9'];
        yield 'an output of no known kind' => [['convert', 'in.txt', 'out.xyz'], 2, 'none of the extensions'];
        yield 'unknown arrangement' => [['convert', 'in.txt', 'out.svg', '--arrangement=square'], 2, 'no arrangement called “square”'];
        yield 'unknown paper' => [['convert', 'in.txt', 'out.pdf', '--paper=a9'], 2, 'no paper called “a9”'];
        yield 'a file that is not there' => [['inspect', 'gone.opml'], 1, 'cannot be opened'];
        yield 'a folder' => [['inspect', '.'], 1, 'cannot be'];
        yield 'a file that is broken' => [['convert', 'bad.opml', 'out.docx'], 1, 'line 1'];
        yield 'a place that cannot be written' => [['convert', 'in.txt', 'no/such/folder.docx'], 1, 'cannot be written'];
    }

    /** @param list<string> $arguments */
    #[DataProvider('mistakes')]
    public function testMistakesAreNamedAndNothingIsLeftBehind(array $arguments, int $code, string $message): void
    {
        [$exit, $output, $errors] = $this->embrel(...$arguments);
        self::assertSame($code, $exit, $errors);
        self::assertStringContainsString($message, $errors);
        self::assertSame('', $output);
        self::assertSame(['bad.opml', 'in.txt'], array_values(array_diff(scandir($this->folder) ?: [], ['.', '..'])));
    }

    public function testAnOutputThatIsThereStaysWhenTheInputIsBroken(): void
    {
        file_put_contents("{$this->folder}/out.docx", 'precious');
        $this->embrel('convert', 'bad.opml', 'out.docx');
        self::assertSame('precious', file_get_contents("{$this->folder}/out.docx"));
    }
}
