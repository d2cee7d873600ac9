<?php

declare(strict_types=1);

namespace App\Pages;

/** Finds pictures that may be used, by words. */
interface PictureFinder
{
    /** An id of a picture; nothing else goes into an address. */
    public const ID = '[A-Za-z0-9_-]{1,64}';

    /**
     * @return list<FoundPicture> the most fitting first, 24 at most
     *
     * @throws PageUnreadable with a sentence for the person
     */
    public function find(string $words): array;

    /** @throws PageUnreadable where there is none of that id */
    public function one(string $id): FoundPicture;

    /**
     * @param bool $isSmall to be chosen from; else as it is to be kept
     *
     * @return string its bytes, whatever they are
     *
     * @throws PageUnreadable with a sentence for the person
     */
    public function bytes(string $id, bool $isSmall): string;
}
