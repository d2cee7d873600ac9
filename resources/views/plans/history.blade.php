@php
    $days = collect($steps)->groupBy(static fn(array $step): string => $step['at']->copy()->setTimezone($zone)->format('Y-m-d'));
    $day = static fn(string $date): string => match ($date) {
        now($zone)->format('Y-m-d') => 'Today',
        now($zone)->subDay()->format('Y-m-d') => 'Yesterday',
        default => \Illuminate\Support\Carbon::parse($date)->format('l, j F Y'),
    };
@endphp
<x-plan-frame :plan="$plan" current="history" :title="'History: ' . $plan->title . ' – Embrel'" class="beside">
<main class="history"><div>
    <h1>History</h1>
    <p class="hint">Each line is one step. Going back to a step makes the plan what it was right after it, as a new change: nothing is ever
        erased.</p>
    <p class="history-ways"><a class="plain" href="{{ route('plan.film', $plan) }}">Play it as a film</a>
        @if ($since < $plan->revision)<a class="plain" href="{{ route('plan.sides', [$plan, 'from' => $since]) }}">What is new since my last
            visit</a>@endif
        @can('manage', $plan)<a class="plain" href="{{ route('plan.work', $plan) }}">Who did what</a>@endcan</p>
    <x-said/>
    @can('update', $plan)
    <form class="keep-version" method="post" action="{{ route('plan.history', $plan) }}">
        @csrf
        <div class="field"><label for="version-name">Keep the plan as it is now, under a name</label><input id="version-name" name="name"
            maxlength="120" autocomplete="off" placeholder="Before the supervisor’s comments" value="{{ \App\Http\Given::before('name') }}"
            @error('name') aria-invalid="true" aria-describedby="version-error" @enderror>@error('name')<p class="error" id="version-error"
            role="alert">{{ $message }}</p>@enderror</div>
        <button class="primary">Keep this version</button>
    </form>
    @endcan
    @if ($versions !== [] && $isFirstPage)
        <section aria-labelledby="versions-head">
            <h2 id="versions-head">Kept versions</h2>
            <ul class="steps">
                @foreach ($versions as $seq => $name)
                    <li class="version"><strong>{{ $name }}</strong><x-step-acts :plan="$plan" :seq="$seq" :name="$name"
                        :is-now="$seq === $plan->revision"/></li>
                @endforeach
            </ul>
        </section>
    @endif
    @forelse ($days as $date => $ofDay)
        <section aria-label="{{ $day($date) }}">
            <h2>{{ $day($date) }}</h2>
            <ol class="steps">
                @foreach ($ofDay as $step)
                    <li>
                        <time
                            datetime="{{ $step['at']->toIso8601String() }}">{{ $step['at']->copy()->setTimezone($zone)->format('H:i') }}</time>
                        <span class="says">{{ $step['says'] === '' ? 'Changed the plan' : $step['says'] }}@if ($step['changes'] > 1
                            && !str_contains($step['says'], ' more ')) <small>in {{ $step['changes'] }} changes</small>@endif<small
                            class="by">{{ $step['by'] }}</small>@isset($versions[$step['seq']])<span
                            class="k">{{ $versions[$step['seq']] }}</span>@endisset</span>
                        <x-step-acts :plan="$plan" :seq="$step['seq']" :name="$step['says']" :is-now="$step['seq'] === $plan->revision"/>
                    </li>
                @endforeach
            </ol>
        </section>
    @empty
        <p class="nothing">Nothing has been changed yet. Every change from now on is listed here.</p>
    @endforelse
    @if (\count($steps) > 0 && end($steps)['seq'] > 2)
        <p class="mt-4">
            <a class="plain" href="{{ route('plan.history', ['plan' => $plan, 'before' => end($steps)['seq']]) }}">Earlier steps</a>
        </p>
    @endif
</div></main>
</x-plan-frame>
