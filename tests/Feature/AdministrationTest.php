<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\TaskKind;
use App\Models\User;
use App\SignIn\SecondStep;
use App\Store\PlanPictures;
use App\Store\Quota;
use App\Store\Tasks;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;

/** Who looks after accounts: what they see and may do, and what they never see; and how much an account may keep. */
final class AdministrationTest extends TestCase
{
    private User $ben;

    protected function setUp(): void
    {
        parent::setUp();
        $this->ben = $this->account('ben');
        self::assertSame(0, Artisan::call('embrel:administrator', ['email' => 'Ada@example.org']));
        $this->actingAs($this->user->refresh());
    }

    public function testItIsThereForAdministratorsAlone(): void
    {
        $paths = ['/administration', "/administration/people/{$this->ben->id}"];
        foreach ($paths as $path) {
            $this->get($path)->assertOk();
        }
        $this->actingAs($this->ben);
        foreach ($paths as $path) {
            $this->get($path)->assertNotFound();
        }
        foreach (['closed', 'sign-out'] as $act) {
            $this->post("/administration/people/{$this->user->id}/{$act}")->assertNotFound();
        }
        $this->put("/administration/people/{$this->ben->id}", ['quota' => 9])->assertNotFound();
        $this->get('/account')->assertDontSee('Administration');
        self::assertSame(0, Artisan::call('embrel:administrator', ['email' => 'ada@example.org', '--off' => true]));
        $this->actingAs($this->user->refresh())->get('/administration')->assertNotFound();
        self::assertSame(1, Artisan::call('embrel:administrator', ['email' => 'nobody@example.org']));
    }

    public function testPeopleAreFoundAndNothingOfTheirPlansIsTold(): void
    {
        $this->start("A secret title\n  And below", $this->ben);
        Queue::fake();
        app(Tasks::class)->start($this->ben, TaskKind::Everything, ['plan' => $this->row->id], 5);
        $page = $this->get('/administration')->assertOk()->assertSeeInOrder(['Ada', 'ada@example.org', 'Ben', 'ben@example.org']);
        $page->assertSee('All of somebody’s plans are packed, for Ben')->assertDontSee('secret title');
        $this->get('/administration?search=BEN@')->assertSee('ben@example.org')->assertDontSee('<td>ada@example.org');
        $this->get('/administration?search=100%25_')->assertSee('Nobody here has a name or an address like that.');
        $this->get('/administration?' . http_build_query(['search' => ['x']]))->assertOk();
        $this->get("/administration/people/{$this->ben->id}")->assertSee('one plan')->assertDontSee('secret title');
        $this->get('/administration/people/999999999')->assertNotFound();
    }

    public function testAnAccountIsClosedAndOpenedAndOnesOwnIsNot(): void
    {
        $at = "/administration/people/{$this->ben->id}";
        DB::table('sessions')->insert(['id' => 'x', 'user_id' => $this->ben->id, 'payload' => '', 'last_activity' => 1]);
        $this->post("{$at}/closed")->assertSessionHas('said');
        self::assertNotNull($this->ben->refresh()->closed_at);
        self::assertSame(0, DB::table('sessions')->where('user_id', $this->ben->id)->count());
        $this->get('/administration')->assertSee('closed');
        $this->delete("{$at}/closed");
        self::assertNull($this->ben->refresh()->closed_at);
        $this->post("/administration/people/{$this->user->id}/closed")->assertSessionHasErrors('account');
        self::assertNull($this->user->refresh()->closed_at);
    }

    public function testALostDeviceIsTakenOff(): void
    {
        SecondStep::newCodes($this->ben->forceFill(['totp_secret' => 'sealed']));
        $this->get("/administration/people/{$this->ben->id}")->assertSee('Turn the second step off');
        $this->delete("/administration/people/{$this->ben->id}/second-step")->assertSessionHas('said');
        self::assertFalse(SecondStep::isOn($this->ben->refresh()));
    }

    private static function picture(int $size): string
    {
        $image = imagecreatetruecolor($size, $size);
        ob_start();
        imagepng($image);

        return (string) ob_get_clean() . random_bytes(100_000);
    }

    public function testAnAccountKeepsNoMoreThanItMay(): void
    {
        Storage::fake(\App\Store\Attachments::DISK);
        Storage::fake('pictures');
        $topic = $this->id('A');
        $file = static fn(): UploadedFile => UploadedFile::fake()->createWithContent('a.pdf', "%PDF-1.4\n" . random_bytes(699_991));
        $send = fn() => $this->post(
            "/plans/{$this->row->id}/attachments",
            ['id' => self::newId(), 'holder' => $topic, 'file' => $file()],
            ['Accept' => 'application/json'],
        );
        $send()->assertOk();
        $this->put("/administration/people/{$this->user->id}", ['quota' => 1])->assertSessionHas('said');
        self::assertSame(1024 ** 2, Quota::of($this->user->refresh()));
        self::assertSame('1 MB', Quota::said(1024 ** 2));
        $send()->assertStatus(422)->assertSee('1 MB in all');
        self::assertSame(700_000, Quota::used($this->user->id));
        $this->expectException(\App\Store\OverQuota::class);
        try {
            (new PlanPictures($this->row->id))->keep(self::picture(900) . random_bytes(400_000));
        } finally {
            self::assertSame(0, DB::table('pictures')->where('plan_id', $this->row->id)->count());
            $this->put("/administration/people/{$this->user->id}", ['quota' => ''])->assertSessionHas('said');
            self::assertNull(Quota::of($this->user->refresh()));
            foreach (['0', '-1', 'many', '99999999999'] as $none) {
                $this->put("/administration/people/{$this->user->id}", ['quota' => $none])->assertSessionHasErrors('quota');
            }
        }
    }

    public function testWhatOthersBringIntoAPlanCountsWithItsOwner(): void
    {
        Storage::fake(\App\Store\Attachments::DISK);
        \App\Models\Share::query()->create(['plan_id' => $this->row->id, 'user_id' => $this->ben->id, 'role' => \App\Access\Role::Writes]);
        $this->put("/administration/people/{$this->user->id}", ['quota' => 1]);
        $this->actingAs($this->ben);
        $pdf = fn(int $bytes): UploadedFile => UploadedFile::fake()->createWithContent('a.pdf', "%PDF-1.4\n" . random_bytes($bytes));
        $send = fn(int $bytes) => $this->post(
            "/plans/{$this->row->id}/attachments",
            ['id' => self::newId(), 'holder' => $this->id('A'), 'file' => $pdf($bytes)],
            ['Accept' => 'application/json'],
        );
        $send(2 * 1024 ** 2)
            ->assertStatus(422)
            ->assertJsonPath('message', static fn(string $says): bool => str_contains($says, 'of Ada’s plans'));
        $send(1000)->assertOk();
        self::assertGreaterThan(1000, Quota::used($this->user->id));
        self::assertSame(0, Quota::used($this->ben->id));
    }

    public function testAnAccountHasNoMorePlansThanItMay(): void
    {
        config(['embrel.quota.plans' => 2]);
        $ask = ['title' => 'Another'];
        $this->from('/plans')->post('/plans', $ask)->assertRedirect();
        self::assertSame(2, $this->user->plans()->count());
        $this->from('/plans')->post('/plans', $ask)->assertRedirect('/plans');
        $this->get('/plans')->assertSee('An account may have 2 plans here.');
        $this->postJson("/plans/{$this->row->id}/duplicate")->assertStatus(422);
        self::assertSame(2, $this->user->plans()->count());
    }
}
