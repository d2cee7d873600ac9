@props(['plan', 'view'])
@php
    $arrow = '<span class="arrow" aria-hidden="true">▾</span>';
@endphp
{{-- The tools of each view, in words. What is set to something else than usual is seen on its button, with a way back beside it. --}}
<section class="bars" id="bars" aria-label="Tools of the view">
    <button class="bar-opener" id="bar-opener" type="button" aria-expanded="false">Tools
        <span class="arrow" aria-hidden="true">▾</span></button>
    <div class="bar" data-bar="outline" role="toolbar" aria-label="Tools of the outline" @if ($view !== 'outline') hidden @endif>
        <button type="button" data-command="addTopic" aria-label="New topic" title="New topic after the marked one"><span
            aria-hidden="true">+</span> <b>Topic</b></button>
        <span class="sep" aria-hidden="true"></span>
        <span class="group" role="group" aria-label="Fold to">Fold to @foreach ([1, 2, 3, 4, 5] as $level)<button type="button"
            data-level="{{ $level }}" aria-label="Level {{ $level }}"
            title="Fold to level {{ $level }} ({{ $level }})"><b>{{ $level }}</b></button>@endforeach<button type="button" data-level="0"
            aria-label="All" title="Unfold all (0)"><b>all</b></button></span>
        <span class="setting" id="bar-show"><button type="button" aria-haspopup="dialog">Show
            <b>the whole plan</b> {!! $arrow !!}</button><button class="unset" type="button" aria-label="Show the whole plan"
            title="Show the whole plan" hidden>×</button></span>
        <span class="setting" id="bar-only"><button type="button" aria-haspopup="dialog">Only
            <b>anything</b> {!! $arrow !!}</button><button class="unset" type="button" aria-label="Show anything" title="Show anything"
            hidden>×</button></span>
        <span class="setting" id="bar-numbers"><button type="button" aria-haspopup="dialog">Numbers
            <b>1 · 1.1</b> {!! $arrow !!}</button></span>
        <span class="setting" id="bar-sort"><button type="button" aria-haspopup="dialog">Sort…</button></span>
        <button type="button" data-command="goSchedule">Schedule</button>
        <button type="button" data-command="prompts" aria-pressed="false" title="Questions, what belongs near, terms, a first draft (Alt P)">Prompts</button>
        <button type="button" data-command="comments" aria-pressed="false">Comments<b></b></button>
    </div>
    <div class="bar" data-bar="schedule" role="toolbar" aria-label="Tools of the schedule" @if ($view !== 'schedule') hidden @endif>
        <button type="button" data-command="goOutline"><span aria-hidden="true">←</span> Outline</button>
        <span class="sep" aria-hidden="true"></span>
        <span class="group" role="group" aria-label="Scale">@foreach (['days' => 'Days', 'weeks' => 'Weeks'] as $scale => $name)<button
            type="button" data-scale="{{ $scale }}" aria-pressed="{{ $scale === 'days' ? 'true' : 'false' }}">{{ $name }}</button>@endforeach</span>
        <button type="button" id="schedule-today">Today</button>
        <label class="check"><input type="checkbox" id="schedule-only"> Only what has days</label>
        <span class="sep" aria-hidden="true"></span>
        <span class="group" role="group" aria-label="Take the days along">Days as <a href="{{ route('plan.calendar', $plan) }}" download
            aria-label="Days as a calendar file"><b>calendar</b></a><a href="{{ route('plan.days-table', $plan) }}" download
            aria-label="Days as a table"><b>table</b></a></span>
        <button type="button" id="days-read">Read days back…</button>
        <span class="saved" id="schedule-says" role="status"></span>
    </div>
    <div class="bar" data-bar="map" role="toolbar" aria-label="Tools of the map" @if ($view !== 'map') hidden @endif>
        <button type="button" data-command="addTopic" aria-label="New topic" title="New topic after the marked one"><span
            aria-hidden="true">+</span> <b>Topic</b></button>
        <span class="sep" aria-hidden="true"></span>
        <span class="group" role="group" aria-label="Arrangement">@foreach (['spine' => 'Spine', 'both' => 'Both sides',
            'round' => 'Round'] as $arrangement => $name)<button type="button" data-tool="arrange" data-arrangement="{{ $arrangement }}"
            aria-pressed="false">{{ $name }}</button>@endforeach</span>
        <span class="sep" aria-hidden="true"></span>
        <span class="group" role="group" aria-label="Size"><button type="button" data-tool="smaller" title="Smaller (−)"
            aria-label="Smaller"><b>−</b></button><button type="button" data-tool="actual" title="As large as it is">100%</button><button
            type="button" data-tool="larger" title="Larger (+)" aria-label="Larger"><b>+</b></button></span>
        <button type="button" data-tool="whole" title="The whole plan (Ctrl 0)">Whole plan</button>
        <button type="button" data-tool="branch" title="The marked branch (B)">This branch</button>
        <span class="sep" aria-hidden="true"></span>
        <button type="button" data-tool="rectangle" aria-pressed="false"
            title="Draw a rectangle around topics (Shift and drag)">Mark with a rectangle</button>
        <button type="button" data-tool="look" aria-haspopup="dialog">How the map is drawn {!! $arrow !!}</button>
        <button type="button" data-tool="full" aria-pressed="false">Full screen</button>
        <button type="button" data-command="prompts" aria-pressed="false" title="Questions, what belongs near, terms, a first draft (Alt P)">Prompts</button>
        <button type="button" data-command="comments" aria-pressed="false">Comments<b></b></button>
    </div>
    <div class="bar" data-bar="gather" role="toolbar" aria-label="Tools of gathering" @if ($view !== 'gather') hidden @endif>
        <div class="clock" id="clock"></div>
    </div>
    <div class="bar" data-bar="draft" role="toolbar" aria-label="Tools of the draft" @if ($view !== 'draft') hidden @endif>
        <label class="setting"><span>Show</span><select id="draft-show" aria-label="What is shown"><option
            value="all">Everything</option></select></label>
        <label class="check"><input type="checkbox" id="only-noted"> Only topics that have a note</label>
        <span class="sep" aria-hidden="true"></span>
        <span class="group" role="group" aria-label="Width">Width @foreach (['narrow' => 'Narrow', 'middle' => 'Middle',
            'wide' => 'Wide'] as $width => $name)<button type="button" class="width-{{ $width }}" data-width="{{ $width }}"
            aria-label="{{ $name }}" title="{{ $name }}" aria-pressed="false"><b>A</b></button>@endforeach</span>
        <button type="button" data-command="prompts" aria-pressed="false" title="Questions, what belongs near, terms, a first draft (Alt P)">Prompts</button>
        <button type="button" data-command="comments" aria-pressed="false">Comments<b></b></button>
        <button type="button" id="draft-beside" aria-pressed="false" title="The outline beside the text">Outline beside</button>
        <button type="button" id="draft-go" title="To a section by number or title (Alt G)">Go to…</button>
        <button type="button" id="draft-level" aria-pressed="false" title="The line that is written stays at one height">Level line</button>
        <button type="button" id="draft-full" aria-pressed="false">Full screen</button>
        <span class="draft-counts"><span class="saved" id="draft-here"></span><span class="saved" id="draft-today"></span></span>
    </div>
    <div class="bar" data-bar="sources" role="toolbar" aria-label="Tools of the sources"
        @if (!in_array($view, ['sources', 'sorting-out'], true)) hidden @endif>
        <span class="group" role="group" aria-label="Which part"><button type="button" data-command="goSources" data-part="sources"
            aria-pressed="false">All sources</button><button type="button" data-command="goResearch" data-part="sorting-out"
            aria-pressed="false">Looks like research<b class="count" id="research-count"></b></button></span>
        <span class="sep" aria-hidden="true"></span>
        <button type="button" id="source-take">Take in a file…</button>
        <button type="button" id="source-elsewhere">From my other plans…</button>
        <span class="setting" id="source-hand"><button type="button" aria-haspopup="dialog">Hand over as {!! $arrow !!}</button></span>
        <label class="setting printed-as"><span>Printed as</span><select id="source-style" aria-label="Printed as"></select></label>
        <button type="button" class="all-styles" id="source-styles">All styles…</button>
    </div>
    <div class="bar" data-bar="check" role="toolbar" aria-label="Tools of the check" @if ($view !== 'check') hidden @endif>
        <span class="group" role="group" aria-label="How serious">@foreach (['all' => 'Everything', 'serious' => 'Serious',
            'doubtful' => 'Worth a look', 'slight' => 'Small'] as $weight => $name)<button type="button" data-weight="{{ $weight }}"
            aria-pressed="{{ $weight === 'all' ? 'true' : 'false' }}">{{ $name }} <b class="count"></b></button>@endforeach</span>
        <span class="sep" aria-hidden="true"></span>
        <button type="button" data-command="chooseRules">What is looked for…</button>
    </div>
    <div class="bar" data-bar="film" role="toolbar" aria-label="Tools of the film" @if ($view !== 'film') hidden @endif>
        <a href="{{ route('plan.history', $plan) }}"><span aria-hidden="true">←</span>&nbsp;History</a>
        <span class="sep" aria-hidden="true"></span>
        <label class="setting"><span>On</span><select id="film-as" aria-label="Shown on"><option value="outline">the outline</option><option
            value="map">the map</option></select></label>
        <label class="setting"><span>By</span><select id="film-who" aria-label="Whose steps"></select></label>
        <label class="setting"><span>In</span><select id="film-section" aria-label="In which section"></select></label>
        <label class="setting"><span>Of</span><select id="film-kind" aria-label="Kind of change"></select></label>
    </div>
    <span class="saved" id="words"></span>
    <span class="setting is-set fresh-bar" id="fresh" hidden><button type="button" class="next-fresh"
        title="Go to the next that others have changed since you were here"><b>new</b></button><button class="unset" type="button"
        aria-label="I have seen all that is new" title="I have seen all that is new">×</button></span>
</section>
