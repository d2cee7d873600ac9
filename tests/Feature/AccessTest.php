<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Access\Access;
use App\Access\Role;
use App\Http\Controllers\PulseController;
use App\Models\Plan;
use App\Models\Share;
use App\Models\User;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use Illuminate\Support\Str;

/** Who may do what: every route, by every role. */
final class AccessTest extends TestCase
{
    private const READ = ['reads', 'comments', 'writes', 'owner'];
    private const COMMENT = ['comments', 'writes', 'owner'];
    private const WRITE = ['writes', 'owner'];
    private const OWN = ['owner'];
    /** Routes of a plan that are told by themselves: who asks for them is known by another way. */
    private const APART = ['GET plans/{plan}/pulse'];

    /**
     * Route → who may use it. A route of a plan that is in no row fails the test.
     *
     * @return array<string, list<string>>
     */
    private static function matrix(): array
    {
        $page = 'plans/{plan}';
        $rows = [];
        foreach (
            [
                [
                    self::READ,
                    'GET',
                    ['', '/gather', '/map', '/draft', '/notes', '/sources', '/sorting-out', '/pulse-address', '/kept', '/changes'],
                ],
                [self::READ, 'GET', ['/place-names', '/landing', '/find', '/pictures/{picture}', '/source-list', '/source-list/elsewhere']],
                [self::READ, 'GET', ['/check', '/findings', '/rules', '/small-map', '/alike', '/terms', '/shorter', '/first-draft']],
                [self::READ, 'POST', ['/near']],
                [self::READ, 'GET', ['/citation-styles', '/citation-styles/{key}']],
                [self::READ, 'POST', ['/citation-styles/{key}']],
                [self::READ, 'GET', ['/attachments/{attachment}/play']],
                [self::WRITE, 'GET', ['/companion']],
                [self::WRITE, 'POST', ['/companion', '/companion/parcel', '/companion/{letter}/taken']],
                [self::OWN, 'PUT', ['/companion']],
                [self::WRITE, 'GET', ['/picture-finder', '/picture-finder/{found}/small', '/questions']],
                [self::WRITE, 'POST', ['/picture-finder/{found}', '/questions']],
                [self::WRITE, 'DELETE', ['/questions']],
                [self::READ, 'GET', ['/schedule', '/days', '/days/calendar', '/days/table', '/written-today']],
                [self::WRITE, 'POST', ['/findings/mend', '/days/read', '/patterns']],
                [self::READ, 'GET', ['/source-list/file', '/cited', '/research', '/all-notes', '/attachments']],
                [self::READ, 'GET', ['/attachments/{attachment}', '/history', '/history/steps', '/history/{seq}', '/topics/{topic}/note']],
                [self::READ, 'GET', ['/shares', '/hand-over', '/hand-over/preview', '/hand-over/sheets', '/hand-over/file']],
                [self::READ, 'POST', ['/map', '/source-list/typed', '/source-list/page', '/source-list/number', '/source-list/date']],
                [self::READ, 'POST', ['/research/guesses']],
                [self::READ, 'POST', ['/history/{seq}/plan', '/hand-over/task', '/duplicate', '/pattern']],
                [self::READ, 'PUT', ['/folds', '/look', '/hand-over', '/writing-days']],
                [self::WRITE, 'GET', ['/way-back']],
                [self::WRITE, 'POST', ['/operations', '/undo', '/redo', '/find', '/pictures', '/source-list', '/research']],
                [self::WRITE, 'POST', ['/attachments', '/copies', '/history', '/history/{seq}/back', '/way-back', '/way-back/accept']],
                [self::WRITE, 'PATCH', ['']],
                [self::WRITE, 'DELETE', ['/attachments/{attachment}']],
                [self::READ, 'GET', ['/people', '/comments', '/votes', '/film', '/film/steps', '/film/frames', '/film/map/{seq}']],
                [self::READ, 'GET', ['/history/sides', '/present', '/present/speaker', '/present/deck', '/present/map']],
                [self::READ, 'PUT', ['/present', '/present/at']],
                [self::READ, 'POST', ['/present/link']],
                [self::READ, 'DELETE', ['/present/link', '/hand-over/sendings/{sending}']],
                [self::READ, 'GET', ['/hand-over/sendings']],
                [self::READ, 'POST', ['/hand-over/sendings']],
                [self::COMMENT, 'POST', ['/comments', '/comments/{comment}/settle', '/comments/{comment}/files']],
                [self::COMMENT, 'PATCH', ['/comments/{comment}']],
                [self::COMMENT, 'DELETE', ['/comments/{comment}']],
                [self::WRITE, 'POST', ['/comments/{comment}/take', '/comments/{comment}/decline']],
                [self::READ, 'POST', ['/seen', '/comments/seen', '/offer/answer']],
                [self::READ, 'DELETE', ['/people/me']],
                [self::COMMENT, 'PUT', ['/votes/{vote}']],
                [self::OWN, 'POST', ['/votes', '/votes/{vote}/close']],
                [self::OWN, 'DELETE', ['/votes/{vote}']],
                [self::OWN, 'GET', ['/history/work', '/copies-given']],
                [self::OWN, 'POST', ['/copies-given']],
                [self::OWN, 'DELETE', ['/copies-given/{invitation}']],
                [self::OWN, 'DELETE', ['', '/people/{person}', '/invitations/{invitation}', '/link']],
                [self::OWN, 'PUT', ['/people/{person}', '/offer', '/link']],
                [self::OWN, 'POST', ['/restore', '/invitations', '/link']],
            ] as [$roles, $verb, $paths]
        ) {
            foreach ($paths as $path) {
                $rows["{$verb} {$page}{$path}"] = $roles;
            }
        }

        return $rows;
    }

    private function person(string $role): User
    {
        if ($role === 'owner') {
            return $this->user;
        }
        $person = User::query()->where('email', "{$role}@example.org")->first() ?? $this->account($role);
        if (Role::tryFrom($role) !== null) {
            Share::query()->firstOrCreate(['plan_id' => $this->row->id, 'user_id' => $person->id], ['role' => $role]);
        }

        return $person;
    }

    public function testEveryRouteOfAPlanIsForWhomItIsMeant(): void
    {
        $matrix = self::matrix();
        $routes = [];
        foreach (Routes::getRoutes() as $route) {
            foreach (array_diff($route->methods(), ['HEAD']) as $verb) {
                $name = "{$verb} {$route->uri()}";
                if (str_starts_with($route->uri(), 'plans/{plan}') && !\in_array($name, self::APART, true)) {
                    $routes[$name] = $route;
                }
            }
        }
        self::assertSame([], array_diff(array_keys($routes), array_keys($matrix)), 'Routes of which nobody has said who may use them.');
        self::assertSame([], array_diff(array_keys($matrix), array_keys($routes)), 'Routes that are not there.');
        foreach ($matrix as $name => $roles) {
            // What the last of them does to the plan is undone, so that it is there for the next.
            foreach (['stranger', 'reads', 'comments', 'writes', 'owner'] as $role) {
                $status = $this->asked($routes[$name], $name, $this->person($role));
                $message = "{$name} by who {$role}: {$status}";
                if (\in_array($role, $roles, true)) {
                    self::assertNotContains($status, [401, 403, 500], $message);
                } else {
                    self::assertSame($role === 'stranger' ? 404 : 403, $status, $message);
                }
                Plan::withTrashed()->whereKey($this->row->id)->update(['deleted_at' => null, 'put_away_at' => null]);
            }
        }
    }

    private function asked(Route $route, string $name, User $person): int
    {
        $a = $this->id('A');
        $address = strtr($route->uri(), [
            '{plan}' => $this->row->id,
            '{topic}' => $a,
            '{seq}' => '1',
            '{picture}' => str_repeat('a', 64),
            '{attachment}' => self::newId(),
            '{found}' => 'heron',
            '{vote}' => self::newId(),
            '{comment}' => self::newId(),
            '{letter}' => self::newId(),
            '{invitation}' => self::newId(),
            '{person}' => '999999',
        ]);
        if ($name === 'POST plans/{plan}/restore') {
            Plan::query()->whereKey($this->row->id)->delete();
        }
        $this->actingAs($person);

        return $this->json(explode(' ', $name)[0], "/{$address}", [])->getStatusCode();
    }

    public function testWhoIsNotSignedInIsSentToTheDoorByEveryRoute(): void
    {
        $this->app['auth']->forgetGuards();
        foreach (array_keys(self::matrix()) as $name) {
            [$verb, $uri] = explode(' ', $name);
            $address = preg_replace('/\{\w+\}/', $this->row->id, $uri);
            self::assertContains($this->json($verb, "/{$address}")->getStatusCode(), [401, 404], $name);
        }
    }

    public function testWhatIsWithinAPlanOfAnotherIsNotThereByAnyOfItsIds(): void
    {
        $ben = $this->account('ben');
        $theirs = $this->start("X\n  Y", $ben);
        $topic = app(\App\Store\PlanStore::class)->load($theirs)->parts(\Embrel\Plan\Plan::ROOT)[0];
        \DB::table('styles')->insert(
            ['id' => self::newId(), 'user_id' => $ben->id, 'name' => 'Ben', 'body' => '{}', 'created_at' => now(), 'updated_at' => now()],
        );
        $style = \DB::table('styles')->where('user_id', $ben->id)->value('id');
        foreach (
            [
                ['GET', "/plans/{$theirs->id}"],
                ['GET', "/plans/{$theirs->id}/topics/{$topic}/note"],
                // In one's own plan, by an id of another's.
                ['GET', "/plans/{$this->row->id}/topics/{$topic}/note"],
                ['GET', "/plans/{$this->row->id}/attachments/" . self::newId()],
                ['GET', "/plans/{$this->row->id}/pictures/" . str_repeat('b', 64)],
                ['GET', "/plans/{$this->row->id}/history/999999"],
                ['GET', '/tasks/' . self::newId()],
                ['GET', '/templates/' . self::newId()],
            ] as [$verb, $address]
        ) {
            $this->json($verb, $address)->assertNotFound();
        }
        $this->deleteJson("/styles/{$style}");
        self::assertSame($style, \DB::table('styles')->where('user_id', $ben->id)->value('id'));
        $this->send(['type' => 'retitle', 'topic' => $topic, 'title' => 'Mine'])->assertOk()->assertJsonPath('refused.0.reason', 'gone');
    }

    public function testARoleThatIsTakenAwayIsAwayAtOnceAndThePulseKnowsIt(): void
    {
        $writer = $this->person('writes');
        $pulse = PulseController::address($writer, $this->row);
        $this->actingAs($writer)->send(['type' => 'retitle', 'topic' => $this->id('A'), 'title' => 'Theirs'])->assertOk();
        $this->getJson("{$pulse}&since=0")->assertOk();
        Share::query()->where('user_id', $writer->id)->update(['role' => 'reads']);
        $this->send(['type' => 'retitle', 'topic' => $this->id('Theirs'), 'title' => 'Again'])
            ->assertForbidden()
            ->assertJsonPath('message', 'You can read this plan, and not change it.');
        $this->getJson("{$pulse}&since=0")->assertOk();
        Share::query()->where('user_id', $writer->id)->delete();
        $this->getJson("{$pulse}&since=0")->assertNotFound();
        $this->getJson("/plans/{$this->row->id}/changes?since=0")->assertNotFound();
        self::assertNull(Access::of($writer, $this->row->refresh()));
    }

    public function testThePageOfWhoReadsSaysWhatCanBeDone(): void
    {
        foreach (['owner' => true, 'writes' => true, 'comments' => false, 'reads' => false] as $role => $mayWrite) {
            $page = $this->actingAs($this->person($role))->get("/plans/{$this->row->id}")->assertOk();
            $json = Str::between((string) $page->getContent(), '<script type="application/json" id="plan-data">', '</script>');
            $data = json_decode($json, true);
            self::assertSame(['write' => $mayWrite, 'comment' => $role !== 'reads'], $data['can'], $role);
        }
    }

    public function testWhoDeletesTheAccountIsAskedWhatBecomesOfSharedPlans(): void
    {
        $writer = $this->person('writes');
        $this->person('reads');
        $alone = $this->start('Alone');
        $given = ['password_to_delete' => 'a long secret'];
        $this->actingAs($this->user)->get('/account')->assertSee('which would go to Writes', false);
        $this->delete('/account', $given)->assertSessionHasErrors('shared');
        self::assertNotNull($this->user->fresh());
        $this->delete('/account', $given + ['shared' => 'hand-on'])->assertRedirect('/');
        self::assertNull($this->user->fresh());
        self::assertNull(Plan::query()->find($alone->id));
        self::assertSame($writer->id, $this->row->refresh()->owner_id);
        self::assertSame(['reads'], $this->row->shares->map(static fn(Share $share): string => $share->role->value)->all());
        $this->actingAs($writer)->delete('/account', $given + ['shared' => 'take-along'])->assertRedirect('/');
        self::assertNull(Plan::query()->find($this->row->id));
    }
}
