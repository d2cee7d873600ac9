<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Archive\ZipFile;
use Embrel\Draft\Choices;
use Embrel\Plan\Plan;

/** A file of text and the pictures that it names, in a zip file. */
final class PicturePackage
{
    /**
     * @param \Closure(\Closure(string): (string|null)): Writer $writer of the text, given the file of each picture
     * @param resource                                          $out
     *
     * @return list<string>
     */
    public static function write(string $name, \Closure $writer, Plan $plan, Choices $choices, $out, string $work): array
    {
        $zip = new ZipFile("{$work}/package.zip");
        $pictures = new PictureFiles($zip, $choices->pictures, 'pictures');
        $text = fopen("{$work}/{$name}", 'w') ?: throw new \RuntimeException('The text could not be written in the work folder.');
        $losses = $writer($pictures->name(...))->write($plan, $choices, $text, $work);
        fclose($text);
        $zip->file($name, "{$work}/{$name}")->sendTo($out);

        return $losses;
    }
}
