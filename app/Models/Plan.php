<?php

declare(strict_types=1);

namespace App\Models;

use App\Store\CitationStyles;
use App\Stream\Wire;
use Embrel\Citation\CitationStyle;
use Embrel\Citation\Manual;
use Embrel\Plan\Properties;
use Illuminate\Contracts\Database\Eloquent\Builder as BuilderContract;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Facades\Auth;

/**
 * The row of a plan; its tree is in App\Store. Title, words and strip are kept beside it for the list of plans.
 *
 * @property string                          $id
 * @property int                             $owner_id
 * @property string                          $title
 * @property int                             $revision
 * @property int                             $words
 * @property int|null                        $target_words
 * @property string                          $form
 * @property string                          $subject
 * @property string                          $language
 * @property list<array<string, mixed>>|null $strip
 * @property array<string, string>|null      $foreign
 * @property list<array{string, string}>|null $labels
 * @property list<string>|null               $rules_off
 * @property list<array{string, string}>|null $set_aside
 * @property list<array{string, string}>|null $terms
 * @property list<string>|null               $number_forms
 * @property int|null                        $offered_to whom its owner would hand it to
 * @property int                             $people_revision
 * @property int                             $talk_revision
 * @property bool|int                        $allows_companion whether anything of it may be sent to a helper
 * @property bool                            $has_tree whether the tree is kept beside its rows
 * @property \Illuminate\Support\Carbon|null $due_on
 * @property \Illuminate\Support\Carbon|null $created_at
 * @property \Illuminate\Support\Carbon|null $changed_at
 * @property \Illuminate\Support\Carbon|null $put_away_at
 * @property \Illuminate\Support\Carbon|null $deleted_at
 */
final class Plan extends Model
{
    use UlidKey;
    use SoftDeletes;

    protected $table = 'plans';

    protected $guarded = [];

    protected static function booted(): void
    {
        self::updated(static fn(self $plan) => $plan->wasChanged('revision') ? Wire::changed($plan->id) : null);
        self::created(static fn(self $plan) => CitationStyles::hold($plan));
        self::updated(static fn(self $plan) => $plan->wasChanged('style_key') ? CitationStyles::hold($plan) : null);
        self::deleted(static fn(self $plan) => Wire::changed($plan->id));
    }

    protected function casts(): array
    {
        return [
            'strip' => 'array',
            'foreign' => 'array',
            'labels' => 'array',
            'rules_off' => 'array',
            'set_aside' => 'array',
            'terms' => 'array',
            'number_forms' => 'array',
            'due_on' => 'date:Y-m-d',
            'changed_at' => 'datetime',
            'put_away_at' => 'datetime',
            'revision' => 'integer',
            'offered_to' => 'integer',
            'people_revision' => 'integer',
            'talk_revision' => 'integer',
            'words' => 'integer',
            'target_words' => 'integer',
            'numbering_depth' => 'integer',
            'run_on' => 'boolean',
            'has_tree' => 'boolean',
        ];
    }

    /**
     * The plan that an address names, read with what the person who asks may do in it: both are asked of every request.
     *
     * @param Model|Builder<Model>|\Illuminate\Database\Eloquent\Relations\Relation<Model, Model, mixed> $query
     * @param mixed                                                                                   $value
     * @param string|null                                                                             $field
     */
    public function resolveRouteBindingQuery($query, $value, $field = null): BuilderContract
    {
        $found = parent::resolveRouteBindingQuery($query, $value, $field);
        $person = Auth::id();
        if ($person !== null && $found instanceof Builder) {
            $role = '(SELECT role FROM shares WHERE plan_id = plans.id AND user_id = ?)';
            $found->select('plans.*')->selectRaw("? AS asked_by, {$role} AS asked_role", [$person, $person]);
        }

        return $found;
    }

    /** @return BelongsTo<User, $this> */
    public function owner(): BelongsTo
    {
        return $this->belongsTo(User::class, 'owner_id');
    }

    /** @return HasMany<Share, $this> */
    public function shares(): HasMany
    {
        return $this->hasMany(Share::class);
    }

    /** @return HasOne<Link, $this> */
    public function link(): HasOne
    {
        return $this->hasOne(Link::class);
    }

    /** @return HasMany<Invitation, $this> */
    public function invitations(): HasMany
    {
        return $this->hasMany(Invitation::class);
    }

    /** @return HasMany<Attachment, $this> */
    public function attachments(): HasMany
    {
        return $this->hasMany(Attachment::class);
    }

    /** @return HasMany<Picture, $this> */
    public function pictures(): HasMany
    {
        return $this->hasMany(Picture::class);
    }

    public function properties(): Properties
    {
        $row = $this->getAttributes();

        return (new Properties())->stylesIn(new CitationStyles())->with(
            [
                'target' => $this->target_words,
                'due' => $this->due_on?->format('Y-m-d'),
                'run_on' => (bool) ($row['run_on'] ?? false),
                'numbering_depth' => (int) ($row['numbering_depth'] ?? 3),
                'labels' => $this->labels ?? [],
                'rules_off' => $this->rules_off ?? [],
                'set_aside' => $this->set_aside ?? [],
                'terms' => $this->terms ?? [],
                'number_forms' => $this->number_forms ?? [],
                'citation_style' => $this->styleKey(),
            ]
                + array_intersect_key($row, [
                    'subtitle' => 1,
                    'author' => 1,
                    'form' => 1,
                    'subject' => 1,
                    'language' => 1,
                    'page_size' => 1,
                    'numbering' => 1,
                ]),
        );
    }

    /** @return array<string, mixed> the columns that hold these properties */
    public static function columns(Properties $properties): array
    {
        $all = $properties->toArray();

        $key = $properties->citationStyle->key;
        $isOurs = Manual::tryFrom($key) !== null;
        $style = ['citation_style' => $isOurs ? $key : CitationStyle::USUAL, 'style_key' => $isOurs ? null : $key];

        return ['target_words' => $all['target'], 'due_on' => $all['due']] + $style + array_diff_key($all, ['target' => 1, 'due' => 1]);
    }

    /**
     * The style that it is printed in. Of one of ours the key stands in citation_style alone; of another in style_key, with the usual one
     * in citation_style: where that is another, a release that does not know of style_key has changed it since.
     */
    private function styleKey(): string
    {
        $row = $this->getAttributes();
        [$ours, $key] = [$row['citation_style'] ?? CitationStyle::USUAL, $row['style_key'] ?? null];

        return \is_string($key) && $ours === CitationStyle::USUAL && CitationStyle::isKey($key) ? $key : (string) $ours;
    }
}
