<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Pages\HttpPictures;
use App\Pages\PageUnreadable;
use App\Pages\PictureFinder;
use App\Pages\Route;
use PHPUnit\Framework\Attributes\DataProvider;

/** Pictures of a service, asked over real HTTP: found by words, shown small, kept with whose they are. */
final class PictureFinderTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->row = $this->start("A\nB");
    }

    private function at(string $path = ''): string
    {
        return "/plans/{$this->row->id}/picture-finder{$path}";
    }

    public function testPicturesAreFoundByWordsTheMostFittingFirst(): void
    {
        $found = $this->getJson($this->at('?words=lighthouse+night'))->assertOk()->json('pictures');
        self::assertSame('lighthouse-night', $found[0]['id']);
        self::assertContains('lighthouse', array_column($found, 'id'));
        foreach ($found as $one) {
            self::assertNotSame('', $one['author']);
            self::assertMatchesRegularExpression('/^CC/', $one['licence']);
        }
        self::assertSame([], $this->getJson($this->at('?words=xylophone'))->assertOk()->json('pictures'));
        self::assertSame([], $this->getJson($this->at('?words=+'))->assertOk()->json('pictures'));
        $trouble = $this->getJson($this->at('?words=nothing+but+trouble'))->assertStatus(422)->json('message');
        self::assertStringContainsString('could not be used. The site answered with an error (503).', $trouble);
    }

    public function testAPictureIsKeptInThePlanWithASourceThatSaysWhoseItIs(): void
    {
        $small = $this->get($this->at('/heron/small'))->assertOk();
        self::assertSame('image/jpeg', $small->headers->get('Content-Type'));
        self::assertNotFalse(getimagesizefromstring((string) $small->getContent()));
        $taken = $this->postJson($this->at('/heron'))->assertOk();
        self::assertMatchesRegularExpression('/^[0-9a-f]{64}:480x320@240$/', $taken->json('picture'));
        self::assertSame(
            ['A heron stands in the shallows', 'https://pictures.example/about/heron', 'Picture, CC0 1.0'],
            [$taken->json('source.title'), $taken->json('source.url'), $taken->json('source.remark')],
        );
        // Kept by an ordinary change, and taken back by one step.
        $step = self::newId();
        $this->postJson("/plans/{$this->row->id}/operations", ['base' => 0, 'operations' => [
            ['id' => self::newId(), 'step' => $step, 'type' => 'source', 'sources' => [$taken->json('source')]],
            ['id' => self::newId(), 'step' => $step, 'type' => 'picture', 'ids' => [$this->id('A')], 'value' => $taken->json('picture')],
        ]])->assertOk()->assertJsonPath('refused', []);
        self::assertNull($this->postJson($this->at('/heron'))->assertOk()->json('source'), 'The plan has it already.');
        $this->postJson("/plans/{$this->row->id}/undo", ['base' => 0])->assertOk();
        self::assertNotNull($this->postJson($this->at('/heron'))->assertOk()->json('source'));
        $this->postJson($this->at('/none'))->assertStatus(422);
        $this->get($this->at('/none/small'))->assertNotFound();
        $this->get($this->at('/..%2Fsecret/small'))->assertNotFound();
    }

    /** @return iterable<string, array{string, string}> what the service answers, and what is said or found */
    public static function answers(): iterable
    {
        $one = ['id' => 'a', 'title' => 'T', 'author' => 'Ada', 'licence' => 'CC0'];
        yield 'no licence' => [(string) json_encode(['pictures' => [['licence' => ''] + $one]]), ''];
        yield 'an id that leads elsewhere' => [(string) json_encode(['pictures' => [['id' => '../x'] + $one]]), ''];
        yield 'a link that is a script' => [(string) json_encode(['pictures' => [$one + ['page' => 'javascript:alert(1)']]]), 'T||'];
        yield 'lists where texts are meant' => [(string) json_encode(['pictures' => [['title' => ['T']] + $one, 7, null]]), ''];
        yield 'no list' => ['{"pictures": "many"}', ''];
        yield 'no JSON' => ['<html>', 'answered with something else'];
    }

    #[DataProvider('answers')]
    public function testWhatAServiceAnswersIsNotTrusted(string $answer, string $expected): void
    {
        // A service of one answer, on this machine.
        $server = stream_socket_server('tcp://127.0.0.1:0') ?: self::fail();
        $to = (string) stream_socket_get_name($server, false);
        $child = pcntl_fork();
        if ($child === 0) {
            $asked = stream_socket_accept($server, 10);
            if ($asked !== false) {
                fread($asked, 4096);
                fwrite($asked, "HTTP/1.1 200 OK\r\nContent-Type: application/json\r\nContent-Length: " . \strlen($answer) . "\r\n\r\n{$answer}");
                fclose($asked);
            }
            posix_kill(posix_getpid(), SIGKILL);
        }
        $route = new class ($to) implements Route {
            public function __construct(private string $to) {}

            public function to(string $scheme, string $host, int $port): array
            {
                return ['scheme' => 'http', 'to' => $this->to];
            }
        };
        try {
            $found = (new HttpPictures($route, 'http://pictures.example'))->find('marsh');
            self::assertSame($expected, implode(',', array_map(static fn($one): string => "{$one->title}|{$one->page}|", $found)));
        } catch (PageUnreadable $why) {
            self::assertStringContainsString($expected, $why->getMessage());
            self::assertNotSame('', $expected);
        } finally {
            pcntl_waitpid($child, $status);
        }
    }

    public function testAnotherServiceIsUsedOnlyWhereItIsSet(): void
    {
        self::assertSame('', config('embrel.pictures'));
        self::assertInstanceOf(HttpPictures::class, app(PictureFinder::class));
    }
}
