<?php

declare(strict_types=1);

namespace App\View\Components;

use App\Models\Plan;
use App\Models\User;
use App\Store\UndoLog;
use Illuminate\Contracts\View\View;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Gate;
use Illuminate\View\Component;

/**
 * What stands around every page of a plan: its title with the plan's own menu, the views by name,
 * undo, redo, find and hand over, and the strip. On the page that holds the views the script fills
 * the strip and carries the commands out; elsewhere the menu's entries are links that do the same.
 */
final class PlanFrame extends Component
{
    /** View → its name, in the order of the work. */
    public const VIEWS = [
        'gather' => 'Gather',
        'outline' => 'Outline',
        'map' => 'Map',
        'draft' => 'Draft',
        'sources' => 'Sources',
        'check' => 'Check',
    ];

    /** What is shown within a view → the view. */
    private const WITHIN = ['sorting-out' => 'sources', 'schedule' => 'outline'];

    /** @var array{undo: string|null, redo: string|null} what each would do, in words; null: there is nothing */
    public readonly array $steps;

    /**
     * @param string            $current one of the views, or the page beside them
     * @param string            $title   of the window
     * @param list<string>|null $scripts null: those of an ordinary page
     * @param array{undo: string|null, redo: string|null}|null $told what undo and redo would do, where that is known already
     */
    public function __construct(
        public readonly Plan $plan,
        public readonly string $current,
        public readonly string $title,
        public readonly ?array $scripts = null,
        ?array $told = null,
    ) {
        $user = Auth::user();
        $this->steps = $told ?? ($user instanceof User ? (new UndoLog($plan->id, $user->id))->names() : ['undo' => null, 'redo' => null]);
    }

    /** Whether the page holds the views, and their script. */
    public function isLive(): bool
    {
        return $this->scripts !== null;
    }

    /** @return array<string, array{name: string, address: string, isCurrent: bool}> */
    public function views(): array
    {
        $views = [];
        foreach (self::VIEWS as $view => $name) {
            $isCurrent = $view === (self::WITHIN[$this->current] ?? $this->current);
            $address = $view === 'outline' ? route('plan', $this->plan) : route("plan.{$view}", $this->plan);
            $views[$view] = ['name' => $name, 'address' => $address, 'isCurrent' => $isCurrent];
        }

        return $views;
    }

    /** What the plan is, in a few words, as beside “Properties” in its menu. */
    public function properties(): string
    {
        $properties = $this->plan->properties();
        $words = $properties->target?->words;

        return ucfirst($properties->form->value)
            . ($words === null ? '' : ', ' . number_format($words) . ($words === 1 ? ' word' : ' words'));
    }

    /** Whether the person may change the plan, and not only read it. */
    public function mayWrite(): bool
    {
        return Gate::allows('update', $this->plan);
    }

    /** The first labels of the plan, as beside “Labels” in its menu. */
    public function labels(): string
    {
        return implode(', ', \array_slice(array_map(strval(...), array_keys($this->plan->properties()->labels)), 0, 3));
    }

    /** The page of the plan with one of its commands carried out, for where the page is another one. */
    public function doing(string $command): string
    {
        return route('plan', $this->plan) . "#do={$command}";
    }

    public function render(): View
    {
        return view('components.plan-frame');
    }
}
