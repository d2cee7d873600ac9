<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Backup\Backup;
use App\Backup\BackupFailed;
use App\Backup\Restore;
use App\Backup\RowSums;
use App\Models\Plan as PlanRow;
use App\Models\User;
use App\Store\NewIds;
use App\Store\PlanPictures;
use App\Store\PlanProof;
use App\Store\PlanStore;
use Embrel\Operation\Retitle;
use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Tests\Core\Build\Build;

/** All of it at one moment and back again, in databases of their own: nothing is rolled back here. */
final class BackupTest extends OwnDatabase
{
    private Filesystem $place;
    private PlanRow $row;

    protected function setUp(): void
    {
        parent::setUp();
        $this->place = Storage::fake('backups');
        foreach (Backup::DISKS as $disk) {
            Storage::fake($disk);
        }
        $user = User::query()->create(['name' => 'Ada', 'email' => 'ada@example.org', 'password' => 'x']);
        $this->row = app(PlanStore::class)->create($user, Build::plan("Marsh\n  Wall\n  Tide – “high” \u{1F30A}", new NewIds()));
        (new PlanPictures($this->row->id))->keep(self::picture());
        Storage::disk('sent')->put('01M8QWZ5PETP0B3MT09YN6EQFK', 'a file that was sent');
    }

    private static function picture(): string
    {
        $image = imagecreatetruecolor(30, 20);
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    }

    /** @param (\Closure(string): mixed)|null $say */
    private function make(?\Closure $say = null): string
    {
        return (new Backup($this->place, $say ?? static fn() => null))->make();
    }

    private function restore(string $name): void
    {
        (new Restore($this->place, static fn() => null))->run($name);
    }

    private function retitle(string $title): void
    {
        $store = app(PlanStore::class);
        $row = $this->row->refresh();
        $id = $store->load($row)->standing()[0];
        $store->insist($row, User::query()->firstOrFail(), $store->change(new Retitle($id, $title)));
    }

    public function testWhatIsRestoredIsWhatWasKept(): void
    {
        $this->retitle('Wall of 1887');
        $of = (string) config('database.connections.mariadb.database');
        $name = $this->make();
        $before = RowSums::of($of);
        $bytes = Storage::disk('pictures')->allFiles();
        self::assertCount(1, $bytes);
        $picture = Storage::disk('pictures')->get($bytes[0]);
        foreach (Backup::DISKS as $disk) {
            Storage::fake($disk);
        }
        $this->in($empty = $this->newDatabase());
        $this->restore($name);
        self::assertEquals($before, RowSums::of($empty));
        self::assertNull(app(PlanProof::class)->fails(PlanRow::query()->firstOrFail()));
        self::assertSame($picture, Storage::disk('pictures')->get($bytes[0]));
        self::assertSame('a file that was sent', Storage::disk('sent')->get('01M8QWZ5PETP0B3MT09YN6EQFK'));
        self::assertSame(0, Artisan::call('embrel:verify'));
    }

    public function testItIsMadeWhilePeopleGoOnWriting(): void
    {
        $n = 0;
        $name = $this->make(function () use (&$n): void {
            $this->retitle('Changed while it was made ' . ++$n);
        });
        self::assertGreaterThan(1, $n);
        $this->in($this->newDatabase());
        $this->restore($name);
        self::assertNull(app(PlanProof::class)->fails(PlanRow::query()->firstOrFail()));
    }

    public function testARowThatIsAnotherIsFound(): void
    {
        $of = (string) config('database.connections.mariadb.database');
        $before = RowSums::of($of);
        DB::table('topics')->where('title', 'Wall')->update(['title' => 'wall']);
        self::assertNotSame($before->plans, RowSums::of($of)->plans);
        self::assertStringContainsString(
            '1 topics are others than in its log',
            (string) app(PlanProof::class)->fails($this->row->refresh()),
        );
        DB::table('topics')->where('title', 'wall')->update(['title' => 'Wall']);
        self::assertEquals($before, RowSums::of($of));
        self::assertNull(app(PlanProof::class)->fails($this->row->refresh()));
        DB::table('users')->update(['name' => 'Eve']);
        self::assertNotSame($before->tables['users'], RowSums::of($of)->tables['users']);
    }

    public function testAChangeThatIsMissingOrThereTwiceIsFound(): void
    {
        $this->retitle('One');
        $this->retitle('Two');
        $proof = app(PlanProof::class);
        self::assertNull($proof->fails($this->row->refresh()));
        DB::table('operations')->where('plan_id', $this->row->id)->orderBy('seq')->limit(1)->delete();
        self::assertSame('its log has 1 changes from 3 to 3, and it stands at 3', $proof->fails($this->row->refresh()));
    }

    public function testNothingIsRestoredOverWhatIsThereOrFromWhatIsNotWhole(): void
    {
        $name = $this->make();
        $this->assertFails('is not empty', fn() => $this->restore($name));
        $this->assertFails('no whole backup', fn() => $this->restore('embrel-20200101-000000'));
        $this->in($this->newDatabase());
        $dump = (string) $this->place->get("{$name}/database.sql.gz");
        $this->place->put("{$name}/database.sql.gz", substr($dump, 0, -20));
        $this->assertFails('checksum differs', fn() => $this->restore($name));
        self::assertSame([], DB::select('SHOW TABLES'), 'Nothing was changed.');
        $this->place->put("{$name}/database.sql.gz", $dump);
        $manifest = json_decode((string) $this->place->get("{$name}/manifest.json"), true);
        $manifest['plans'][$this->row->id] = 'another';
        $this->place->put("{$name}/manifest.json", json_encode($manifest));
        $this->assertFails('is not what was kept: ' . $this->row->id, fn() => $this->restore($name));
        $this->place->delete("{$name}/manifest.json");
        self::assertSame([], Backup::names($this->place), 'What has no manifest is no backup.');
    }

    public function testTheNewestAreKeptAndBytesOfPlansThatAreGoneGo(): void
    {
        $this->travelTo('2026-12-01 02:30:00');
        $first = $this->make();
        $path = "bytes/pictures/{$this->row->id}";
        self::assertCount(1, $this->place->allFiles($path));
        app(PlanStore::class)->erase($this->row);
        $this->travel(1)->days();
        $second = $this->make();
        self::assertSame([$first, $second], Backup::names($this->place));
        (new Backup($this->place, static fn() => null))->keepOnly(2);
        self::assertCount(1, $this->place->allFiles($path));
        (new Backup($this->place, static fn() => null))->keepOnly(1);
        self::assertSame([$second], Backup::names($this->place));
        self::assertSame([], $this->place->allFiles($path));
    }

    public function testTheCommandsSayWhatIsWrong(): void
    {
        $folder = sys_get_temp_dir() . '/embrel-' . bin2hex(random_bytes(4));
        self::assertSame(1, Artisan::call('embrel:restore', ['--from' => $folder]));
        self::assertStringContainsString('There is no backup here', Artisan::output());
        self::assertSame(0, Artisan::call('embrel:backup', ['--to' => $folder, '--keep' => 3]));
        self::assertSame(1, Artisan::call('embrel:restore', ['--from' => $folder, '--logs' => $folder]));
        self::assertStringContainsString('no log of changes', Artisan::output());
        self::assertSame(1, Artisan::call('embrel:restore', ['--from' => $folder, '--until' => 'yesterday']));
        self::assertStringContainsString('is no date and time', Artisan::output());
        $password = config('database.connections.mariadb.password');
        config(['database.connections.mariadb.password' => 'wrong']);
        self::assertSame(1, Artisan::call('embrel:backup', ['--to' => $folder]));
        self::assertStringContainsString('mariadb-dump said', Artisan::output());
        config(['database.connections.mariadb.password' => $password]);
        \Illuminate\Support\Facades\File::deleteDirectory($folder);
    }

    private function assertFails(string $says, \Closure $act): void
    {
        try {
            $act();
        } catch (BackupFailed $why) {
            self::assertStringContainsString($says, $why->getMessage());

            return;
        }
        self::fail("It was to fail: {$says}");
    }
}
