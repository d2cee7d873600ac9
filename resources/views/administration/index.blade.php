@php
    use App\Store\Quota;
    use Illuminate\Support\Carbon;
@endphp
<x-layouts.app title="Administration – Embrel">
    <x-list-head/>
    <main class="sheet is-wide">
        <h1>Administration</h1>
        <x-said/>
        <dl class="sums">
            <div><dt>People</dt><dd>{{ number_format($sums['people']) }}@if ($sums['closed']) <small>{{ $sums['closed'] }} closed</small>@endif</dd></div>
            <div><dt>Plans</dt><dd>{{ number_format($sums['plans']) }}</dd></div>
            <div><dt>Pictures and files</dt><dd>{{ Quota::said($sums['bytes']) }}</dd></div>
            <div><dt>Database</dt><dd>{{ Quota::said($sums['database']) }}</dd></div>
        </dl>
        <section>
            <div class="people-tools">
                <h2>People</h2>
                <form role="search" method="get" action="{{ route('administration') }}"><input class="box" type="search" name="search"
                    value="{{ $search }}" aria-label="Name or address" placeholder="Name or address" maxlength="190"><button class="plain">Find</button></form>
            </div>
            @if ($people->isEmpty())
                <p>Nobody here has a name or an address like that.</p>
            @else
                <div class="wide-table" tabindex="0" role="region" aria-label="People"><table class="people">
                    <thead><tr><th>Name</th><th>Address</th><th class="n">Plans</th><th class="n">Kept</th><th>Two steps</th><th>Here last</th></tr></thead>
                    <tbody>
                        @foreach ($people as $one)
                            <tr @class(['is-closed' => $one->closed_at !== null])>
                                <th scope="row"><a href="{{ route('administration.person', $one) }}">{{ $one->name }}</a>
                                    @if ($one->closed_at !== null)<span class="pill">closed</span>@endif
                                    @if ($one->is_administrator)<span class="pill">administrator</span>@endif</th>
                                <td>{{ $one->email }}</td>
                                <td class="n">{{ $one->plans_count }}</td>
                                <td class="n">{{ Quota::said($used[$one->id] ?? 0) }}</td>
                                <td>{{ $one->totp_secret === null ? 'no' : 'yes' }}</td>
                                <td>{{ isset($seen[$one->id]) ? Carbon::createFromTimestamp($seen[$one->id], $zone)->isoFormat('D MMM YYYY') : '–' }}</td>
                            </tr>
                        @endforeach
                    </tbody>
                </table></div>
                @if ($people->hasPages())
                    <nav class="pages-nav" aria-label="More people">
                        @if ($people->previousPageUrl())<a class="plain" href="{{ $people->previousPageUrl() }}">Before</a>@endif
                        <span class="hint">{{ $people->firstItem() }} to {{ $people->lastItem() }} of {{ number_format($people->total()) }}</span>
                        @if ($people->nextPageUrl())<a class="plain" href="{{ $people->nextPageUrl() }}">After</a>@endif
                    </nav>
                @endif
            @endif
        </section>
        <section>
            <h2>Work under way</h2>
            @if ($work === [])
                <p class="hint">None just now.</p>
            @else
                <ul class="under-way">
                    @foreach ($work as $one)
                        <li><span>{{ $one->kind->says() }}, for {{ $one->user->name ?? 'a deleted account' }}</span>
                            <small class="hint">{{ $one->state === \App\Models\TaskState::Running
                                ? ($one->of > 0 ? "{$one->done} of {$one->of} steps" : 'begun') : 'waits' }},
                                since {{ $one->created_at?->setTimezone($zone)->isoFormat('HH:mm') }}</small></li>
                    @endforeach
                </ul>
            @endif
        </section>
    </main>
</x-layouts.app>
