<x-read-frame :link="$link" :plan="$plan" :end="$end" :current="$current" :strip="$strip">
    <h1>{{ $plan->title === '' ? 'Untitled' : $plan->title }}</h1>
    @forelse ([['', $rows], ['Loose ideas', $loose]] as [$head, $list])
        @if ($list !== [])
            @if ($head !== '')<h2>{{ $head }}</h2>@endif
            <ul class="read-rows">
                @foreach ($list as $row)
                    <li style="--l:{{ $row['level'] - 1 }};--d:{{ str_starts_with($row['dye'], '#') ? $row['dye'] : "var(--{$row['dye']})" }}"
                        @class(['is-main' => $row['level'] === 1 && $head === ''])><b>{{ $row['number'] }}</b>
                        <a href="{{ route('read.draft', $end) }}#t{{ $row['id'] }}">{{ $row['title'] }}</a>
                        <small>{{ $row['words'] > 0 ? number_format($row['words']) . ($row['words'] === 1 ? ' word' : ' words') : '' }}</small></li>
                @endforeach
            </ul>
        @endif
    @empty
    @endforelse
    @if ($rows === [])<p class="nothing">There is nothing in this plan yet.</p>@endif
</x-read-frame>
