<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Session;

/**
 * Where a person is signed in: their sessions, each called after what the browser says of itself. The table `sessions` is the list of
 * them; where sessions themselves are kept elsewhere its rows have no content.
 */
final class Devices
{
    private const BROWSERS = [
        'Edg' => 'Edge',
        'OPR' => 'Opera',
        'Firefox' => 'Firefox',
        'FxiOS' => 'Firefox',
        'Chrome' => 'Chrome',
        'CriOS' => 'Chrome',
        'Safari' => 'Safari',
    ];
    private const SYSTEMS = [
        'iPhone' => 'iPhone',
        'iPad' => 'iPad',
        'Android' => 'Android',
        'CrOS' => 'ChromeOS',
        'Windows' => 'Windows',
        'Mac OS X' => 'macOS',
        'Linux' => 'Linux',
    ];

    public static function areListedApart(): bool
    {
        return !\in_array(config('session.driver'), ['database', 'array'], true);
    }

    /** Puts a session that is kept elsewhere in the list. */
    public static function list(User $user, string $session, Request $request): void
    {
        DB::table('sessions')->upsert(
            [
                [
                    'id' => $session,
                    'user_id' => $user->id,
                    'ip_address' => $request->ip(),
                    'user_agent' => substr((string) $request->userAgent(), 0, 500),
                    'payload' => '',
                    'last_activity' => now()->getTimestamp(),
                ],
            ],
            ['id'],
        );
    }

    /**
     * @return list<array{key: string, name: string, address: string, used: int, isThis: bool}> the one in hand first, then by when they were used last
     */
    public static function of(User $user, string $session): array
    {
        $rows = DB::table('sessions')
            ->where('user_id', $user->id)
            ->orderByDesc('last_activity')
            ->get(['id', 'ip_address', 'user_agent', 'last_activity']);
        $told = array_map(
            static fn(\stdClass $row): array => [
                'key' => self::key((string) $row->id),
                'name' => self::called((string) $row->user_agent),
                'address' => (string) $row->ip_address,
                'used' => (int) $row->last_activity,
                'isThis' => $row->id === $session,
            ],
            array_values($rows->all()),
        );
        usort($told, static fn(array $a, array $b): int => $b['isThis'] <=> $a['isThis']);

        return $told;
    }

    /** Signs one out, or all but the one in hand. */
    public static function signOut(User $user, string $session, ?string $key = null): void
    {
        foreach (DB::table('sessions')->where('user_id', $user->id)->where('id', '<>', $session)->pluck('id') as $id) {
            if ($key === null || hash_equals(self::key((string) $id), $key)) {
                self::areListedApart() && Session::driver()->getHandler()->destroy((string) $id);
                DB::table('sessions')->where('id', $id)->delete();
            }
        }
    }

    /** Forgets those that have ended. */
    public static function purge(): void
    {
        DB::table('sessions')
            ->where('last_activity', '<', now()->subMinutes((int) config('session.lifetime'))->getTimestamp())
            ->delete();
    }

    /** By which a page names a session without telling its id, which is a key to the account. */
    private static function key(string $id): string
    {
        return hash_hmac('sha256', "device {$id}", (string) config('app.key'));
    }

    private static function called(string $agent): string
    {
        $first = static fn(array $names): ?string => array_values(
            array_filter($names, static fn(string $sign): bool => str_contains($agent, $sign), ARRAY_FILTER_USE_KEY),
        )[0] ?? null;
        [$browser, $system] = [$first(self::BROWSERS), $first(self::SYSTEMS)];

        return trim(($browser ?? 'A browser') . ($system === null ? '' : " on {$system}"));
    }
}
