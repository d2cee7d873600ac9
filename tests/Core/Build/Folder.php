<?php

declare(strict_types=1);

namespace Tests\Core\Build;

use Embrel\Draft\Choices;
use Embrel\Plan\Plan;
use Embrel\Writer\Format;
use PHPUnit\Framework\Attributes\After;
use PHPUnit\Framework\Attributes\Before;

/** A folder of a test's own: what is written goes there, and programs that others wrote read it there. */
trait Folder
{
    private string $folder;
    /** @var list<string> what was said of the file that was written last */
    private array $said = [];

    #[Before]
    protected function makeFolder(): void
    {
        $this->folder = sys_get_temp_dir() . '/embrel-test-' . bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    #[After]
    protected function removeFolder(): void
    {
        exec('rm -rf ' . escapeshellarg($this->folder));
    }

    /** @param string $program without which the test cannot be made */
    private static function needs(string $program): void
    {
        if (trim((string) shell_exec('command -v ' . escapeshellarg($program))) === '') {
            self::markTestSkipped("{$program} is not installed.");
        }
    }

    /** @return string the path of the file */
    private function written(Plan $plan, Format $format, Choices $choices = new Choices(), string $name = 'written'): string
    {
        $path = "{$this->folder}/{$name}.{$format->extension()}";
        $work = "{$this->folder}/work";
        mkdir($work);
        $out = fopen($path, 'w') ?: throw new \RuntimeException($path);
        $this->said = $format->writer()->write($plan, $choices, $out, $work);
        fclose($out);
        exec('rm -rf ' . escapeshellarg($work));

        return $path;
    }

    /**
     * What LibreOffice makes of files, beside each other in the folder `made`.
     *
     * @param string $to a format, with a filter where it needs one: pdf, txt:Text
     *
     * @return string the path of the last
     */
    private function made(string $to, string ...$paths): string
    {
        self::needs('soffice');
        exec(
            'soffice --headless -env:UserInstallation=file://'
                . escapeshellarg("{$this->folder}/profile")
                . " --convert-to {$to} --outdir "
                . escapeshellarg("{$this->folder}/made")
                . ' '
                . implode(' ', array_map(escapeshellarg(...), $paths))
                . ' 2>&1',
            $said,
        );
        $path = "{$this->folder}/made/" . pathinfo((string) end($paths), PATHINFO_FILENAME) . '.' . explode(':', $to)[0];
        self::assertFileExists($path, implode("\n", $said));

        return $path;
    }
}
