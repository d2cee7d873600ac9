<x-layouts.app :title="'Hand over: ' . $plan->title . ' – Embrel'">
<div class="plan" style="grid-template-rows:auto auto 1fr" x-data="handOver" data-address="{{ route('hand-over', $plan) }}" data-format="{{ $chosen }}" data-name="{{ \App\Store\WorkFolder::fileName($plan->title) }}">
    <x-plan-head :plan="$plan" current="hand-over"><a class="plan-title" href="{{ route('plan', $plan) }}">{{ $plan->title }}</a></x-plan-head>
    <nav class="strip" aria-label="Main sections">@foreach ($strip as $section)<a href="{{ route('plan', $plan) }}" style="--d:{{ str_starts_with($section['dye'], '#') ? $section['dye'] : 'var(--' . $section['dye'] . ')' }};--share:{{ $section['share'] }};--w:{{ $section['filled'] }}" title="{{ $section['title'] }}"><b>{{ $section['label'] }}</b><span>{{ $section['title'] === '' ? 'Untitled' : $section['title'] }}</span></a>@endforeach</nav>
    <div class="settle">
        <form class="choices" autocomplete="off" aria-label="Choices">
            <h1 class="visually-hidden">Hand over</h1>
            <h2 id="format-head">Format</h2>
            <div class="formats" role="radiogroup" aria-labelledby="format-head">
                @foreach (\Embrel\Writer\Format::cases() as $format)
                    <label><input type="radio" name="format" value="{{ $format->value }}" x-model="format" @checked($format->value === $chosen)>{{ $format->label() }} <small>{{ $format->value }}</small></label>
                @endforeach
            </div>
            <h2>What goes in</h2>
            <label class="choice"><span>From</span><select name="from"><option value="">The whole plan</option>@foreach ($branches as $branch)<option value="{{ $branch['id'] }}">{{ \Illuminate\Support\Str::limit($branch['name'], 60) }}</option>@endforeach</select></label>
            <label class="choice" x-show="hasHeadings"><span>Headings down to</span><select name="heading_depth">@for ($i = 1; $i <= 9; $i++)<option value="{{ $i }}" @selected($i === 3)>Level {{ $i }}</option>@endfor</select></label>
            <label class="choice" x-show="isMap"><span>As I see it now, with what is folded</span><input type="checkbox" name="seen" @checked($seen)></label>
            <label class="choice" x-show="!isMap"><span>Notes</span><input type="checkbox" name="notes" checked></label>
            <label class="choice" x-show="isOutline"><span>Notes for other programs too</span><input type="checkbox" name="other_notes" checked></label>
            <label class="choice" x-show="!isDraft"><span>Loose ideas, at the end</span><input type="checkbox" name="loose"></label>
            <h2 x-show="isMap">How it is drawn</h2>
            <label class="choice" x-show="isMap"><span>Arrangement</span><select name="arrangement">@foreach (['spine' => 'Spine', 'both' => 'Both sides', 'round' => 'Round'] as $value => $name)<option value="{{ $value }}" @selected($value === $look->arrangement->value)>{{ $name }}</option>@endforeach</select></label>
            <label class="choice" x-show="isMap"><span>Style</span><select name="style">@foreach (\Embrel\Layout\Map\Style::cases() as $style)<option value="{{ $style->value }}" @selected($style === $look->style)>{{ \Illuminate\Support\Str::before($style->name(), ':') }}</option>@endforeach</select></label>
            <label class="choice" x-show="isMap && !isPaper"><span>White ground</span><input type="checkbox" name="ground" checked></label>
            <label class="choice" x-show="isMap && !isPaper"><span>File</span><select x-model="kind"><option value="svg">SVG, text as text</option><option value="fonts">SVG with its fonts</option><option value="1">PNG</option><option value="2">PNG, twice as large</option><option value="3">PNG, three times as large</option></select></label>
            <label class="choice" x-show="isPaper"><span>Paper</span><select name="paper">@foreach (['a4' => 'A4', 'a3' => 'A3', 'a2' => 'A2', 'letter' => 'Letter', 'tabloid' => 'Tabloid'] as $value => $name)<option value="{{ $value }}" @selected($value === $properties->pageSize)>{{ $name }}</option>@endforeach</select></label>
            <label class="choice" x-show="isPaper"><span>Across several sheets, in its own size</span><input type="checkbox" name="several"></label>
            <h2 x-show="!isOutline">How it reads</h2>
            <label class="choice" x-show="!isOutline"><span>Numbering</span><select name="numbering">@foreach (['decimal' => '1 · 1.1 · 1.1.1', 'essay' => 'I. · A. · 1. · a.', 'chapter' => 'Chapter 1 · 1.1', 'none' => 'No numbers'] as $value => $name)<option value="{{ $value }}" @selected($value === $properties->scheme->value)>{{ $name }}</option>@endforeach</select></label>
            <label class="choice" x-show="!isOutline"><span>Number down to</span><select name="number_depth">@for ($i = 1; $i <= 9; $i++)<option value="{{ $i }}" @selected($i === $properties->depth)>Level {{ $i }}</option>@endfor</select></label>
            <label class="choice" x-show="hasContents || isText"><span>Also sources that are never cited</span><input type="checkbox" name="all_sources"></label>
            <p class="hint" x-show="!isOutline">Changed here, numbering holds for this hand-over only. The plan keeps its own.</p>
            <p class="hint" x-show="!isOutline && !isMap">Citations are printed as {{ $properties->citationStyle->label() }}; the plan’s properties change that.</p>
            <label class="choice" x-show="hasContents"><span>Contents page</span><input type="checkbox" name="contents" checked></label>
            @if ($files !== [])<h2>Files on topics and sources</h2><p class="hint">They do not go into the draft. Take with you what is needed:</p><ul class="files-listed">@foreach ($files as $file)<li><a class="link" href="{{ route('plan.attachment', [$plan, $file['id']]) }}" download>{{ $file['name'] }}</a></li>@endforeach</ul>@endif
        </form>
        <main class="stage">
            <p class="error" role="alert" x-text="error" x-show="error"></p>
            <div role="region" x-ref="preview" aria-live="polite" aria-label="Preview"></div>
            <div class="go"><span class="hint" id="counts"></span><span class="hint" x-text="busy"></span><a class="plain" x-show="isPaper" x-bind:href="sheets" target="_blank">Print…</a><a class="primary" x-bind:href="address" download x-on:click="leave" x-text="verb">Download the draft</a></div>
        </main>
    </div>
</div>
</x-layouts.app>
