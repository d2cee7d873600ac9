@php
    $named = static fn(int $seq, string $time): string => isset($versions[$seq]) ? "“{$versions[$seq]}”, {$time}" : $time;
    $half = static fn(array $pieces, string $sign): array => array_filter($pieces, static fn(array $one): bool => $one[0] === '=' || $one[0] === $sign);
    $whats = ['new' => 'new', 'gone' => 'removed', 'moved' => 'moved', 'changed' => 'changed'];
@endphp
<x-plan-frame :plan="$plan" current="history" :title="'Side by side: ' . $plan->title . ' – Embrel'" class="beside">
<main class="history sides"><div>
    <p><a class="link" href="{{ route('plan.history', $plan) }}">History</a></p>
    <h1>Side by side</h1>
    <p class="hint">{{ $count === 0 ? 'No title and no text differs.' : ($count === 1 ? 'One topic differs' : number_format($count) . ' topics differ')
        . (count($sides) < $count ? '; the first ' . count($sides) . ' are shown.' : '.') }}</p>
    <form class="sides-of" action="{{ route('plan.sides', $plan) }}"><label>Side by side <select class="box" name="from">@foreach ($points as $seq => $name)<option value="{{ $seq }}" @selected($seq === $from)>{{ $name }}</option>@endforeach</select></label><label>and <select
        class="box" name="to"><option value="{{ $plan->revision }}">Now</option>@foreach ($points as $seq => $name)<option
        value="{{ $seq }}" @selected($seq === $to)>{{ $name }}</option>@endforeach</select></label><button class="plain">Compare</button></form>
    <div class="sides-head"><h2>{{ $named($from, $times[0]) }}</h2><h2>{{ $to === $plan->revision ? 'Now' : $named($to, $times[1]) }}</h2></div>
    @foreach ($sides as $one)
        <section class="side-row" aria-label="{{ $one['after'] ?: $one['before'] }}">
            @foreach (['-' => 'before', '+' => 'after'] as $sign => $side)
                <div>
                    @if ($one[$side] !== '' || $one['what'] === ($sign === '-' ? 'gone' : 'new') || $one['id'] === \Embrel\Plan\Plan::ROOT)
                        <h3>@if ($sign === '+' || $one['what'] === 'gone')<small class="k">{{ $whats[$one['what']] }}</small>@endif
                            {{ preg_match('/\A[0-9A-Za-z.()]+(?= )/', $one[$side], $m) && !str_starts_with($one[$side], implode('', array_column($half($one['title'], $sign), 1))) ? $m[0] : '' }}
                            @foreach ($half($one['title'], $sign) as [$mark, $words])@if ($mark === '=')<span>{{ $words }}</span>@elseif ($mark === '-')<del>{{ $words }}</del>@else<ins>{{ $words }}</ins>@endif @endforeach</h3>
                        <p>@foreach ($half($one['text'], $sign) as [$mark, $words])@if ($mark === '=')<span>{{ $words }}</span>@elseif ($mark === '-')<del>{{ $words }}</del>@else<ins>{{ $words }}</ins>@endif @endforeach</p>
                    @endif
                </div>
            @endforeach
        </section>
    @endforeach
</div></main>
</x-plan-frame>
