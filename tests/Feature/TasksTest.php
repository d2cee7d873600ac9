<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Jobs\RunTask;
use App\Models\Task;
use App\Models\TaskKind;
use App\Models\User;
use App\Store\Everything;
use App\Store\PlanPictures;
use App\Store\Tasks;
use App\Store\WaitingFiles;
use Embrel\Limits;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;

/** Long work and large files: whose turn it is, how much of it there may be, and that nothing is cut off. */
final class TasksTest extends TestCase
{
    private const LARGE = 50_000_000;

    /** Puts work in the queue, and gives it a name. */
    private function work(User $user, int $weight): string
    {
        $given = ['plan' => $this->row->id, 'choices' => ['format' => 'txt']];

        return app(Tasks::class)->start($user, TaskKind::HandOver, $given, $weight)->id;
    }

    private static function claimed(): ?string
    {
        return Tasks::claim()->id ?? null;
    }

    public function testSmallWorkOfOneIsNotHeldUpByTenLargeOnesOfAnother(): void
    {
        Queue::fake();
        $other = $this->account('bo');
        $large = array_map(fn(): string => $this->work($other, self::LARGE), range(1, 10));
        $small = $this->work($this->user, 100);
        self::assertSame($small, self::claimed(), 'The small one goes first.');
        self::assertSame($large[0], self::claimed());
        self::assertNull(self::claimed(), 'A worker is kept for what is small.');
        $next = $this->work($this->user, 100);
        self::assertSame($next, self::claimed());
        Tasks::done(Task::query()->findOrFail($large[0]), []);
        self::assertSame($large[1], self::claimed());
    }

    public function testWhoHasTheLeastUnderWayIsNext(): void
    {
        Queue::fake();
        $other = $this->account('bo');
        $first = $this->work($other, 100);
        $second = $this->work($other, 100);
        $mine = $this->work($this->user, 900);
        self::assertSame([$first, $mine, $second], [self::claimed(), self::claimed(), self::claimed()]);
    }

    public function testWhatItsWorkerNeverEndedHoldsUpNobody(): void
    {
        Queue::fake();
        $lost = $this->work($this->user, self::LARGE);
        self::assertSame($lost, self::claimed());
        $next = $this->work($this->user, self::LARGE);
        self::assertNull(self::claimed());
        $this->travel(20)->minutes();
        self::assertSame($next, self::claimed());
    }

    public function testOfOnePersonTwentyPiecesOfWorkMayWait(): void
    {
        Queue::fake();
        $ask = fn(): int => $this->withoutMiddleware(\Illuminate\Routing\Middleware\ThrottleRequests::class)
            ->postJson("/plans/{$this->row->id}/hand-over/task", ['format' => 'txt'])
            ->getStatusCode();
        self::assertSame([...array_fill(0, 20, 200), 429], array_map($ask, range(0, 20)));
    }

    public function testTheNewestTenResultsAreKept(): void
    {
        $ids = array_map(fn(): string => $this->work($this->user, 100), range(1, 12));
        self::assertSame(\array_slice($ids, 2), DB::table('tasks')->where('user_id', $this->user->id)->orderBy('id')->pluck('id')->all());
        self::assertSame(
            [false, false, true],
            array_map(Storage::disk('results')->exists(...), \array_slice($ids, 0, 3)),
        );
        Storage::disk('results')->delete($ids);
    }

    public function testOfOnePersonTwentyFilesWaitAndTheOldestGoFirst(): void
    {
        $waiting = app(WaitingFiles::class);
        $ids = array_map(
            fn(int $i): string => $waiting->keep($this->user, UploadedFile::fake()->createWithContent("{$i}.txt", 'words')),
            range(1, 22),
        );
        self::assertSame(
            [false, false, true, true],
            array_map(fn(string $id): bool => $waiting->find($this->user, $id) !== null, [$ids[0], $ids[1], $ids[2], $ids[21]]),
        );
        $waiting->forgetAll($this->user);
    }

    public function testWorkOfADeletedPersonEndsWithoutAWord(): void
    {
        Queue::fake();
        $id = $this->work($this->user, 100);
        DB::table('tasks')
            ->where('id', $id)
            ->update(['given' => '"nothing"']);
        (new RunTask())->handle();
        self::assertSame('failed', DB::table('tasks')->where('id', $id)->value('state'));
    }

    public function testMuchOfEverythingComesFromTheQueue(): void
    {
        self::assertFalse(Everything::isLong($this->user));
        $this->row->update(['words' => 500_000]);
        self::assertTrue(Everything::isLong($this->user));
        $this->get('/account/download')->assertOk()->assertSee('The zip is being made');
        $task = DB::table('tasks')->where('user_id', $this->user->id)->sole();
        self::assertSame('done', $task->state);
        $zip = new \ZipArchive();
        self::assertTrue($zip->open(Storage::disk('results')->path((string) $task->id)));
        self::assertNotFalse($zip->locateName('01 Test plan.opml'));
        Storage::disk('results')->delete((string) $task->id);
    }

    // ---- Large plans

    public function testTheBeginningOfALongPlanIsShownAndItsFileComesFromTheQueue(): void
    {
        $this->row = $this->start(
            implode("\n", array_map(static fn(int $i): string => ($i % 50 === 0 ? '' : '  ') . "Topic {$i}", range(0, 6_000))),
        );
        foreach (['docx', 'pdf'] as $format) {
            $page = $this->get("/plans/{$this->row->id}/hand-over/preview?format={$format}")
                ->assertOk()
                ->assertSee('This is the beginning');
            preg_match('/data-count="(\d+)"/', (string) $page->getContent(), $m);
            self::assertLessThan(100, (int) ($m[1] ?? 999));
            $this->getJson("/plans/{$this->row->id}/hand-over/file?format={$format}")->assertStatus(409);
        }
        $this->get("/plans/{$this->row->id}/hand-over/file?format=opml")->assertOk();
    }

    // ---- Pictures

    /** @return iterable<string, array{int, int, string}> */
    public static function pictures(): iterable
    {
        yield 'noise of 24 million pixels' => [6000, 3990, 'kept'];
        yield 'one pixel wide' => [1, 200_000, 'refused'];
        yield 'one pixel high' => [40_000, 1, 'refused'];
        yield 'as long as may be' => [1, 30_000, 'kept'];
    }

    #[DataProvider('pictures')]
    public function testAPictureIsKeptWholeOrRefused(int $width, int $height, string $what): void
    {
        $image = imagecreatetruecolor($width, $height) ?: self::fail('No picture.');
        if ($what === 'kept' && $width > 1) {
            mt_srand(1);
            for ($i = 0; $i < 400_000; ++$i) {
                imagesetpixel($image, mt_rand(0, $width - 1), mt_rand(0, $height - 1), mt_rand(0, 0xffffff));
            }
            // As much in it as a photograph of leaves: what is saved at 40 grows beyond the limit at 90.
            imagefilter($image, IMG_FILTER_SCATTER, 4, 6);
        }
        ob_start();
        $width > 1 ? imagejpeg($image, null, 30) : imagepng($image);
        $bytes = (string) ob_get_clean();
        $answer = $this->post(
            "/plans/{$this->row->id}/pictures",
            ['picture' => UploadedFile::fake()->createWithContent('x', $bytes)],
            ['Accept' => 'application/json'],
        );
        if ($what === 'refused') {
            $answer->assertUnprocessable()->assertJsonStructure(['message']);
            self::assertSame(0, DB::table('pictures')->count());

            return;
        }
        $answer->assertOk();
        $kept = DB::table('pictures')->sole();
        $bytes = (string) (new PlanPictures($this->row->id))->bytes($kept->id);
        self::assertLessThanOrEqual(Limits::PICTURE, \strlen($bytes));
        self::assertSame([$kept->id, $kept->size], [hash('sha256', $bytes), \strlen($bytes)]);
        $shown = $this->get("/plans/{$this->row->id}/pictures/{$kept->id}")->assertOk();
        self::assertSame($kept->id, hash('sha256', (string) $shown->baseResponse->getContent()));
        self::assertNotFalse(imagecreatefromstring($bytes));
    }

    public function testAPictureLargerThanAnyColumnWasIsKeptToItsEnd(): void
    {
        $bytes = random_bytes(17_000_000);
        (new PlanPictures($this->row->id))->keep($bytes);
        self::assertSame(
            hash('sha256', $bytes),
            hash('sha256', (string) (new PlanPictures($this->row->id))->bytes(hash('sha256', $bytes))),
        );
    }
}
