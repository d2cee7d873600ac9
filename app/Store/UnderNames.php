<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\User;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * What a person keeps under names in a table (id, user_id, name, and a column of JSON), beside those of ours: a name is
 * theirs once, however it is written, and none of ours; they keep fifty at the most.
 */
final readonly class UnderNames
{
    private const MOST = 50;

    /**
     * @param string       $what what they are called, several of them
     * @param list<string> $ours the names that are taken by ours
     */
    public function __construct(private string $table, private string $column, private string $what, private array $ours) {}

    /** @return array<string, array{name: string, value: array<array-key, mixed>}> by id, in the order of their names */
    public function all(User $user): array
    {
        $all = [];
        foreach ($this->rows($user)->orderBy('name')->get(['id', 'name', $this->column]) as $row) {
            $all[(string) $row->id] = ['name' => (string) $row->name, 'value' => self::read($row->{$this->column})];
        }

        return $all;
    }

    /** @return array<array-key, mixed>|null null: they have none of that id */
    public function find(User $user, string $id): ?array
    {
        $value = $this->rows($user)->where('id', $id)->value($this->column);

        return $value === null ? null : self::read($value);
    }

    /** @return array<array-key, mixed> */
    private static function read(mixed $json): array
    {
        $value = \is_string($json) ? json_decode($json, true) : null;

        return \is_array($value) ? $value : [];
    }

    /**
     * Keeps one under its name; one of that name is changed.
     *
     * @param array<array-key, mixed> $value
     *
     * @return string its id
     *
     * @throws \DomainException with a sentence for the person
     */
    public function keep(User $user, string $name, array $value): string
    {
        if ($name === '') {
            throw new \DomainException('A ' . rtrim($this->what, 's') . ' needs a name.');
        }
        if ($this->isOurs($name)) {
            throw new \DomainException("“{$name}” is one of Embrel’s own {$this->what}. Give yours another name.");
        }

        return Transaction::of(function () use ($user, $name, $value): string {
            $id = $this->rows($user)->where('name', $name)->lockForUpdate()->value('id');
            if ($id === null && $this->rows($user)->count() >= self::MOST) {
                throw new \DomainException("Fifty {$this->what} are kept already. Remove one that is not needed first.");
            }
            $id = \is_string($id) ? $id : (new NewIds())->next();
            $json = json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
            DB::table($this->table)->upsert(
                ['id' => $id, 'user_id' => $user->id, 'name' => $name, $this->column => $json],
                ['id'],
                ['name', $this->column],
            );

            return $id;
        });
    }

    /** @param string $by id or name */
    public function forget(User $user, string $by, string $which): void
    {
        $this->rows($user)->where($by, $which)->delete();
    }

    /** A name that is not taken: the one that is wanted, else the same with a number. */
    public function free(User $user, string $wanted, int $longest): string
    {
        $name = $wanted;
        for ($i = 2; $this->isOurs($name) || $this->rows($user)->where('name', $name)->exists(); ++$i) {
            $name = mb_substr($wanted, 0, $longest - 4) . " {$i}";
        }

        return $name;
    }

    private function isOurs(string $name): bool
    {
        return \in_array(mb_strtolower($name), array_map(mb_strtolower(...), $this->ours), true);
    }

    private function rows(User $user): Builder
    {
        return DB::table($this->table)->where('user_id', $user->id);
    }
}
