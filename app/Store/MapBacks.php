<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\User;
use Illuminate\Support\Facades\DB;

/** The pictures on the grounds of a person's map styles, each small enough to be drawn under a map and given away in a file. */
final class MapBacks
{
    /** The longer side of one, in pixels. */
    private const SIDE = 1600;
    private const QUALITY = 82;
    /** How long one may be in no style, while a style with it is being made. */
    private const HOURS = 24;
    private const MOST = 60;

    /**
     * @return string its id: the SHA-256 of its bytes
     *
     * @throws \DomainException with a sentence for the person
     */
    public static function keep(User $user, string $bytes): string
    {
        $small = self::small(PictureIntake::of($bytes)->bytes);
        $id = hash('sha256', $small);
        self::forgetUnused($user);
        $own = DB::table('map_backs')->where('user_id', $user->id);
        if ($own->clone()->where('id', $id)->doesntExist() && $own->count() >= self::MOST) {
            throw new \DomainException('Sixty pictures are kept for styles already. Remove a style that is not needed first.');
        }
        DB::table('map_backs')->upsert(
            ['user_id' => $user->id, 'id' => $id, 'type' => 'image/jpeg', 'bytes' => $small, 'created_at' => now()],
            ['user_id', 'id'],
            ['created_at'],
        );

        return $id;
    }

    public static function bytes(User $user, string $id): ?string
    {
        $bytes = $id === '' ? null : DB::table('map_backs')->where('user_id', $user->id)->where('id', $id)->value('bytes');

        return \is_string($bytes) ? $bytes : null;
    }

    private static function forgetUnused(User $user): void
    {
        $used = [];
        foreach (MapStyles::kept($user) as $dress) {
            $used[] = $dress->picture;
        }
        DB::table('map_backs')
            ->where('user_id', $user->id)
            ->where('created_at', '<', now()->subHours(self::HOURS))
            ->whereNotIn('id', array_filter($used))
            ->delete();
    }

    /** Nothing shines through: it is the ground. */
    private static function small(string $bytes): string
    {
        $image = imagecreatefromstring($bytes) ?: throw new \DomainException('The picture cannot be read.');
        [$width, $height] = [imagesx($image), imagesy($image)];
        $scale = min(1.0, self::SIDE / max($width, $height));
        [$wide, $high] = [max(1, (int) round($width * $scale)), max(1, (int) round($height * $scale))];
        $small = imagecreatetruecolor($wide, $high) ?: throw new \DomainException('There is no room for the picture.');
        imagefilledrectangle($small, 0, 0, $wide, $high, (int) imagecolorallocate($small, 255, 255, 255));
        imagecopyresampled($small, $image, 0, 0, 0, 0, $wide, $high, $width, $height);
        ob_start();
        imagejpeg($small, null, self::QUALITY);

        return (string) ob_get_clean();
    }
}
