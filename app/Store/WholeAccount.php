<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\PlanPattern;
use App\Models\User;
use Embrel\Archive\BadPackage;
use Embrel\Archive\Package;
use Embrel\Limits;
use Embrel\Plan\PlanForm;
use Embrel\Reader\Unreadable;
use Embrel\Shape;

/**
 * All of a person’s plans with everything that has happened to them, in the folder `whole` of the zip of everything, and in again here or
 * on another Embrel: a file for each plan (WholePlan), one for what is theirs beside, and the bytes of pictures and files once.
 */
final readonly class WholeAccount
{
    private const FOLDER = 'whole/';
    private const OWN = self::FOLDER . 'own.jsonl';
    private const JSON = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;

    public function __construct(private WholePlan $plans, private Patterns $patterns) {}

    /**
     * @param \Closure(string, string): mixed $add   gets the path of a file and its name in the zip
     * @param string                          $work  a folder whose files stand until the zip is closed
     * @param array<string, string>           $named hash → what is in the zip already, by its name there
     */
    public function write(User $user, \Closure $add, string $work, array $named): void
    {
        foreach ($user->plans()->lazyById(20) as $i => $row) {
            $path = "{$work}/whole-{$i}";
            $out = fopen($path, 'w') ?: throw new \RuntimeException('The file cannot be written.');
            $this->plans->write($row, $user, $out, static function (string $hash) use (&$named, $row, $work, $add): string {
                // Of topics that were removed, say: under no name of its own.
                if (!isset($named[$hash])) {
                    $named[$hash] = self::FOLDER . "bytes/{$hash}";
                    $in = PlanPictures::disk()->open($row->id, $hash);
                    if ($in !== null) {
                        file_put_contents("{$work}/bytes-{$hash}", $in);
                        fclose($in);
                        $add("{$work}/bytes-{$hash}", $named[$hash]);
                    }
                }

                return $named[$hash];
            });
            fclose($out);
            $add($path, self::FOLDER . \sprintf('%03d.jsonl', $i + 1));
        }
        file_put_contents("{$work}/own", implode('', array_map(static fn(array $line): string => json_encode($line, self::JSON) . "\n", $this->own($user))));
        $add("{$work}/own", self::OWN);
    }

    /** @return list<array<string, mixed>> */
    private function own(User $user): array
    {
        $lines = [];
        /** @var PlanPattern $one */
        foreach (PlanPattern::query()->where('user_id', $user->id)->orderBy('name')->get() as $one) {
            $lines[] = ['kind' => 'pattern', 'body' => PlanForm::toArray($one->plan())];
        }
        foreach (array_keys(CitationStyles::of($user)) as $key) {
            $lines[] = ['kind' => 'citation-style', 'body' => (new CitationStyles())->file($key)];
        }
        foreach (NumberForms::of($user) as $one) {
            if ($one['own']) {
                $lines[] = ['kind' => 'numbering', 'name' => $one['name'], 'forms' => $one['forms']];
            }
        }

        return $lines;
    }

    /**
     * Takes all of it in under a person's name; each plan whole, or not at all.
     *
     * @param (\Closure(int, int): mixed)|null $tell hears how many plans are done, of how many
     *
     * @return array{plans: int, said: list<string>} how many came in, and why others did not
     *
     * @throws Unreadable where the file is no such zip
     */
    public function read(User $user, string $path, ?\Closure $tell = null): array
    {
        try {
            $package = Package::open($path);
            $names = array_values(preg_grep('~\A' . self::FOLDER . '\d{3,6}\.jsonl\z~', $package->names()) ?: []);
            if ($names === [] && !$package->has(self::OWN)) {
                throw new Unreadable('There are no whole plans in this file. Choose the zip of “Everything of yours” as it came.');
            }
            sort($names);
            $said = [];
            $count = 0;
            foreach ($names as $i => $name) {
                try {
                    WorkFolder::with(fn(string $work) => $this->plans->read(
                        self::lines($package, $name),
                        $user,
                        static fn(string $in): ?string => self::unpacked($package, $in, $work),
                    ));
                    ++$count;
                } catch (Unreadable|OverQuota|\DomainException $why) {
                    $said[] = \sprintf('Plan %d: %s', $i + 1, $why->getMessage());
                }
                $tell === null ?: $tell($i + 1, \count($names));
            }
            if ($package->has(self::OWN)) {
                array_push($said, ...$this->takeOwn($package, $user));
            }

            return ['plans' => $count, 'said' => $said];
        } catch (BadPackage $why) {
            throw new Unreadable($why->getMessage(), 0, $why);
        }
    }

    /** @return string|null the path of a picture or file; null: it is not in the package */
    private static function unpacked(Package $package, string $in, string $work): ?string
    {
        if (!$package->has($in)) {
            return null;
        }
        $package->copy($in, $to = "{$work}/" . hash('xxh128', $in), Limits::MEDIA);

        return $to;
    }

    /** @return list<string> what could not be kept, in words */
    private function takeOwn(Package $package, User $user): array
    {
        $said = [];
        foreach (self::lines($package, self::OWN) as $text) {
            try {
                $line = Shape::of(json_decode($text, true, 512, JSON_THROW_ON_ERROR), 'own');
                match ($line->string('kind')) {
                    'pattern' => $this->patterns->keep($user, PlanForm::plan($line->object('body'))),
                    'citation-style' => (new CitationStyles())->takeIn($user, $line->string('body')),
                    'numbering' => NumberForms::keep(
                        $user,
                        mb_strcut($line->string('name'), 0, 100),
                        array_values(array_filter($line->list('forms'), is_string(...))),
                    ),
                    default => null,
                };
            } catch (\DomainException|\LogicException|\RuntimeException|\JsonException $why) {
                $said[] = 'A pattern, style or numbering of your own could not be kept.';
            }
        }

        return $said;
    }

    /** @return \Generator<int, string> */
    private static function lines(Package $package, string $name): \Generator
    {
        $held = '';
        foreach ($package->pieces($name, Limits::PACKAGE) as $piece) {
            $held .= $piece;
            while (($end = strpos($held, "\n")) !== false) {
                yield substr($held, 0, $end);
                $held = substr($held, $end + 1);
            }
            \strlen($held) <= Limits::PACKAGE_PART || throw new Unreadable('A line of this file is longer than any that Embrel writes.');
        }
        if ($held !== '') {
            yield $held;
        }
    }
}
