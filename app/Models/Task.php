<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\Storage;

/**
 * A piece of long work that goes through the queue: what is asked, how far it is, and what came of it.
 *
 * @property string                          $id
 * @property int                             $user_id
 * @property User|null                       $user
 * @property TaskKind                        $kind
 * @property TaskState                       $state
 * @property int                             $weight about how many bytes are to be read or written
 * @property int                             $done   of so many steps as `of` says
 * @property int                             $of
 * @property string|null                     $says   what is being done, or why it failed
 * @property array<array-key, mixed>         $given  what the work needs to know
 * @property array<string, mixed>|null       $result `name` and `type` of the file that it made, or an address
 * @property \Illuminate\Support\Carbon|null $created_at
 * @property \Illuminate\Support\Carbon|null $updated_at
 */
final class Task extends Model
{
    use UlidKey;

    protected $table = 'tasks';

    public const DISK = 'results';

    protected $guarded = [];
    protected $attributes = ['state' => 'waiting', 'done' => 0, 'of' => 0];

    protected function casts(): array
    {
        return [
            'kind' => TaskKind::class,
            'state' => TaskState::class,
            'weight' => 'integer',
            'done' => 'integer',
            'of' => 'integer',
            'given' => 'array',
            'result' => 'array',
        ];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public function progress(int $done, int $of, string $says): void
    {
        $this->update(['done' => $done, 'of' => $of, 'says' => $says]);
    }

    public function failed(string $says): void
    {
        $this->became(TaskState::Failed, ['says' => $says]);
    }

    /**
     * Ends it, if it has not ended yet; whether that was so.
     *
     * @param array<string, mixed> $with
     */
    public function became(TaskState $state, array $with): bool
    {
        $this->forceFill(['state' => $state] + $with);
        $open = self::query()->whereKey($this->id)->whereIn('state', TaskState::OPEN);
        $isOpen = $open->update($this->getDirty() + ['updated_at' => now()]) === 1;
        $this->syncOriginal();

        return $isOpen;
    }

    /** Keeps the file that came of it, until it is fetched or a day old. */
    public function keepFile(string $path): void
    {
        $in = fopen($path, 'r') ?: throw new \RuntimeException('The file that was made cannot be read.');
        Storage::disk(self::DISK)->writeStream($this->id, $in);
        fclose($in);
    }

    /** With its file. */
    public function forget(): void
    {
        Storage::disk(self::DISK)->delete($this->id);
        $this->delete();
    }
}
