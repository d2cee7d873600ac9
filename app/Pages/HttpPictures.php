<?php

declare(strict_types=1);

namespace App\Pages;

use Embrel\Limits;
use Embrel\RichText\Schema;
use Embrel\RichText\Text;

/**
 * A service of pictures over HTTP: `find?words=…` and `about/ID` answer with JSON, `small/ID` and `large/ID` with a picture.
 * What ships is a stand-in of two dozen (stand-in/pictures); another that speaks in this way is set by EMBREL_PICTURES.
 */
final readonly class HttpPictures implements PictureFinder
{
    private const MOST = 24;
    private const LIST = 512 * 1024;
    private const SMALL = 1024 * 1024;

    /** @param string $address of the service, without a slash at its end */
    public function __construct(private Route $route, private string $address) {}

    public function find(string $words): array
    {
        $found = $this->json('find?words=' . rawurlencode(mb_substr(trim($words), 0, 200)))['pictures'] ?? null;
        $pictures = array_map(self::picture(...), \is_array($found) ? \array_slice(array_values($found), 0, self::MOST) : []);

        return array_values(array_filter($pictures));
    }

    public function one(string $id): FoundPicture
    {
        return self::picture($this->json("about/{$id}")) ?? throw new PageUnreadable('There is no such picture any more.');
    }

    public function bytes(string $id, bool $isSmall): string
    {
        $fetch = new Fetch($this->route, '~\Aimage/(?:png|jpeg|webp|gif)\b~i', 'image/*', $isSmall ? self::SMALL : Limits::PICTURE);

        return self::said(fn(): array => $fetch->of("{$this->address}/" . ($isSmall ? 'small' : 'large') . "/{$id}"))[1];
    }

    /** @return array<array-key, mixed> */
    private function json(string $path): array
    {
        $fetch = new Fetch($this->route, '~\Aapplication/json\b~i', 'application/json', self::LIST);
        $given = json_decode(self::said(fn(): array => $fetch->of("{$this->address}/{$path}"))[1], true, 8);

        return \is_array($given) ? $given : throw new PageUnreadable('The service of pictures answered with something else than pictures.');
    }

    /**
     * @param \Closure(): array{string, string} $fetch
     *
     * @return array{string, string}
     */
    private static function said(\Closure $fetch): array
    {
        try {
            return $fetch();
        } catch (PageUnreadable $why) {
            throw new PageUnreadable("The service of pictures could not be used. {$why->getMessage()}", previous: $why);
        }
    }

    /** @return FoundPicture|null null for what is not told as it must be: nobody's picture is kept as if it were free */
    private static function picture(mixed $given): ?FoundPicture
    {
        $given = \is_array($given) ? $given : [];
        $text = static fn(string $key): string => \is_string($given[$key] ?? null) ? mb_substr(Text::line($given[$key]), 0, 300) : '';
        $size = static fn(string $key): int => \is_int($given[$key] ?? null) ? max(0, $given[$key]) : 0;
        [$id, $page] = [$text('id'), $text('page')];

        return preg_match('/\A' . self::ID . '\z/', $id) !== 1 || $text('title') === '' || $text('author') === '' || $text('licence') === ''
            ? null
            : new FoundPicture(
                $id,
                $text('title'),
                $text('author'),
                $text('licence'),
                Schema::isSafeLink($page) ? $page : '',
                $size('width'),
                $size('height'),
            );
    }
}
