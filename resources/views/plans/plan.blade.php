<x-layouts.app :title="$plan->title . ' – Embrel'" :scripts="['resources/js/plan.js']">
<div class="plan">
    <x-plan-head :plan="$plan" :current="$view">
        <button class="plan-title" id="title" type="button" title="Properties of the plan">{{ $plan->title }}</button>
        <span class="saved" id="saved" role="status">Saved</span>
        <button class="pill is-waiting" type="button" id="open-refusals" hidden></button>
        <x-slot:acts>
            <button class="ico in-outline" id="add" type="button" title="New topic" aria-label="New topic"><x-icon name="plus"/></button>
            <a class="ico hide-small" href="{{ route('plan.notes', $plan) }}" data-view="notes" title="All notes in order" aria-label="All notes in order"><x-icon name="scroll-text"/></a>
            <a class="ico hide-small" href="{{ route('plan.sources', $plan) }}" data-view="sources" title="Sources" aria-label="Sources"><x-icon name="library"/></a>
            <a class="ico hide-small" href="{{ route('plan.sorting-out', $plan) }}" data-view="sorting-out" title="Sort the research out of the outline" aria-label="Sort out the research"><x-icon name="list-filter"/></a>
            <button class="ico" id="undo" type="button" title="Undo" aria-label="Undo"><x-icon name="undo-2"/></button>
            <button class="ico" id="redo" type="button" title="Redo" aria-label="Redo"><x-icon name="redo-2"/></button>
            <button class="ico" id="open-find" type="button" title="Find (Ctrl F)" aria-label="Find"><x-icon name="search"/></button>
            <button class="ico" id="view-options" type="button" title="View and plan" aria-label="View and plan" aria-haspopup="dialog"><x-icon name="sliders-horizontal"/></button>
        </x-slot:acts>
    </x-plan-head>
    <nav class="strip" id="strip" aria-label="Main sections"></nav>
    <form class="find" id="find" role="search" aria-label="Find in this plan" hidden>
        <input class="box" id="find-text" type="search" aria-label="Find" placeholder="Find in titles and notes" maxlength="1000" autocomplete="off">
        <button class="toggle" type="button" data-toggle="whole" aria-pressed="false">Whole words</button>
        <button class="toggle" type="button" data-toggle="case" aria-pressed="false">Same case</button>
        <button class="toggle" type="button" data-toggle="only" id="find-only" aria-pressed="false">Only these</button>
        <span class="count" id="find-count" role="status"></span>
        <button class="ico" type="button" id="find-before" title="The one before (Shift Enter)" aria-label="The one before"><x-icon name="chevron-up"/></button>
        <button class="ico" type="button" id="find-next" title="The next one (Enter)" aria-label="The next one"><x-icon name="chevron-down"/></button>
        <input class="box" id="find-with" aria-label="Replace with" placeholder="Replace with" maxlength="1000" autocomplete="off">
        <button class="plain" type="button" id="find-replace">See the changes</button>
        <button class="ico" type="button" id="find-close" title="Close (Esc)" aria-label="Close the search"><x-icon name="x"/></button>
    </form>
    <div class="work without-note" id="work" data-view="{{ $view }}" @if (!in_array($view, ['outline', 'map'], true)) hidden @endif>
        <main class="outline-side" id="outline-side" @if ($view !== 'outline') hidden @endif>
            <h1 class="visually-hidden">Outline</h1>
            <nav class="crumbs" id="crumbs" aria-label="Way back" hidden></nav>
            <div class="scroller" id="outline" tabindex="-1">
                <div class="empty" id="empty" hidden>
                    <p>What is the first thing that this piece has to say?</p>
                    <input class="box mt-3" id="first-topic" aria-label="First topic" placeholder="Type a topic, then Enter" maxlength="1000" autocomplete="off">
                    <p class="hint mt-2">Enter makes the next topic, Tab moves it one level in. <a class="link" href="{{ route('intake', ['into' => $plan->id]) }}">Take in text or a file</a> that you have already.</p>
                </div>
                <div class="tree" role="tree" tabindex="0" aria-label="Topics" aria-multiselectable="true"><div class="loose-head" id="loose-head" role="presentation" hidden><span>Loose ideas</span><small>They have no place yet, and are not handed over.</small></div></div>
            </div>
            <div class="marked-bar" id="marked-bar" role="toolbar" aria-label="What is marked" hidden>
                <strong role="status" draggable="true" title="Drag it into another plan or program"></strong>
                @foreach (['wrap' => 'New parent', 'moveTo' => 'Move to…', 'outward' => 'Out', 'inward' => 'In', 'loosen' => 'Loose', 'toAnotherPlan' => 'Another plan…', 'duplicate' => 'Duplicate', 'openMenu' => 'Kind, dye, flag…', 'remove' => 'Remove'] as $action => $name)
                    <button type="button" class="plain" data-action="{{ $action }}">{{ $name }}</button>
                @endforeach
                <button type="button" class="primary" data-action="done">Done</button>
            </div>
        </main>
        <main class="map-side" id="map" @if ($view !== 'map') hidden @endif>
            <h1 class="visually-hidden">Map</h1>
            <svg class="ground" id="ground" role="tree" tabindex="0" aria-label="Topics" aria-multiselectable="true"></svg>
            <div class="empty" id="map-empty" hidden>
                <p>What is the first thing that this piece has to say?</p>
                <input class="box mt-3" id="first-on-map" aria-label="First topic" placeholder="Type a topic, then Enter" maxlength="1000" autocomplete="off">
            </div>
            <aside class="map-tray" id="map-tray" aria-label="Loose ideas" hidden>
                <div class="tray-head"><h2>Loose ideas</h2><button class="ico" type="button" data-close-tray title="Close" aria-label="Close the loose ideas"><x-icon name="x" :size="16"/></button></div>
                <ul></ul>
                <p class="hint">Nothing is loose. Ctrl K catches an idea that has no place yet.</p>
            </aside>
            <svg class="overview" id="overview" aria-hidden="true" hidden></svg>
            <div class="map-tools" role="toolbar" aria-label="The map">
                <div class="group" role="group" aria-label="Arrangement">
                    @foreach (['spine' => 'Spine', 'both' => 'Both sides', 'round' => 'Round'] as $arrangement => $name)
                        <button type="button" data-tool="arrange" data-arrangement="{{ $arrangement }}" aria-pressed="false">{{ $name }}</button>
                    @endforeach
                </div>
                <div class="group" role="group" aria-label="Size">
                    <button type="button" data-tool="smaller" title="Smaller (−)" aria-label="Smaller"><x-icon name="minus" :size="16"/></button>
                    <button type="button" data-tool="actual" title="As large as it is">100%</button>
                    <button type="button" data-tool="larger" title="Larger (+)" aria-label="Larger"><x-icon name="plus" :size="16"/></button>
                    <button type="button" data-tool="whole" title="The whole plan (Ctrl 0)">Whole plan</button>
                </div>
                <div class="group" role="group" aria-label="More">
                    <button type="button" data-tool="rectangle" aria-pressed="false" title="Draw a rectangle around topics (Shift and drag)" aria-label="Mark with a rectangle"><x-icon name="square-dashed" :size="16"/></button>
                    <button type="button" data-tool="look" title="How the map is drawn" aria-label="How the map is drawn" aria-haspopup="dialog"><x-icon name="brush" :size="16"/></button>
                    <button type="button" data-tool="full" aria-pressed="false" title="Full screen" aria-label="Full screen"><x-icon name="maximize" :size="16"/></button>
                </div>
            </div>
        </main>
        <aside class="note" id="note" aria-label="Note" hidden>
            <div class="note-head"><span id="note-parent"></span><span class="tail"><span id="note-words"></span><button class="ico hide-small" id="wide-note" type="button" aria-pressed="false" title="The note across the whole page" aria-label="Full width"><x-icon name="maximize-2" :size="16"/></button><button class="ico" id="close-note" type="button" title="Close the note" aria-label="Close the note"><x-icon name="x" :size="16"/></button></span></div>
            <h1 id="note-title"></h1>
            <p class="note-late" id="note-late" role="status" hidden>The text of this note has not come yet. What you write here is kept, and put at its end.</p>
            <div class="page" id="page"></div>
            <div class="tools" role="toolbar" aria-label="Formatting">
                @foreach (['bold' => 'Bold', 'italic' => 'Italic', 'underline' => 'Underline', 'highlight' => 'Highlight', 'blockquote' => 'Quote', 'bulletList' => 'List', 'orderedList' => 'Numbered list', 'taskList' => 'Check list', 'link' => 'Link'] as $tool => $name)
                    <button type="button" data-tool="{{ $tool }}" title="{{ $name }}" aria-label="{{ $name }}" aria-pressed="false"><x-icon :name="['highlight' => 'highlighter', 'blockquote' => 'quote', 'bulletList' => 'list', 'orderedList' => 'list-ordered', 'taskList' => 'list-checks'][$tool] ?? $tool" :size="16"/></button>
                @endforeach
                <button type="button" data-tool="picture" title="Picture" aria-label="Picture"><x-icon name="image" :size="16"/></button>
                <button type="button" data-tool="cite" title="Cite a source (@)" aria-label="Cite a source"><x-icon name="book-marked" :size="16"/></button>
                <button type="button" data-tool="more" title="More" aria-label="More for the note" aria-haspopup="dialog"><x-icon name="ellipsis" :size="16"/></button>
                <span class="space"></span><kbd class="kbd" title="Esc: back to the title">Esc</kbd>
            </div>
        </aside>
    </div>
    <main class="gather" id="gather" @if ($view !== 'gather') hidden @endif>
        <h1 class="visually-hidden">Gather</h1>
        <section class="gather-in" aria-label="Ideas">
            <form id="gather-form">
                <div class="gather-field"><span class="inside-of" id="gather-inside" hidden></span><input id="gather-input" aria-label="An idea" aria-describedby="gather-hint" placeholder="What could be in it?" maxlength="1000" autocomplete="off"></div>
            </form>
            <p class="hint" id="gather-hint">Enter keeps the idea. Paste a list and every line becomes one. Tab makes the next ones parts of the last. Down goes to sorting.</p>
            <div class="ideas" id="ideas" role="listbox" tabindex="0" aria-label="Loose ideas" aria-multiselectable="true" hidden></div>
            <p class="no-ideas" id="no-ideas">Ideas wait here, loose, until they have a place. Nothing needs to be in order yet.</p>
            <div class="clock" id="clock"></div>
        </section>
        <aside class="gather-where" aria-labelledby="where-head">
            <h2 id="where-head">Where does it belong?</h2><span class="typed" id="typed" aria-live="polite"></span>
            <p class="hint" id="where-hint"></p>
            <ul class="places" id="places" aria-labelledby="where-head"></ul>
            <button class="pill" type="button" id="gather-sources" hidden></button>
        </aside>
    </main>
    <main class="reading" id="notes" @if ($view !== 'notes') hidden @endif>
        <div class="reading-head"><h1>All notes in order</h1><label class="choice"><span>Only topics that have a note</span><input type="checkbox" id="only-noted" checked></label></div>
        <div id="notes-in-order"></div>
        <p class="hint" id="notes-empty" hidden>There are no notes yet. N on a marked topic opens its note.</p>
    </main>
    <main class="sources" id="sources-view" @if ($view !== 'sources') hidden @endif>
        <h1 class="visually-hidden">Sources</h1>
        <section class="sources-list" aria-label="All sources">
            <form id="source-line-form" class="source-line"><input class="box" id="source-line" aria-label="Add a source" placeholder="Pell, Tides and Walls, 1994, or an address of the web" maxlength="8000" autocomplete="off"><button class="primary">Add…</button></form>
            <p class="hint">Type or paste a line as it stands in a list of references, then Enter: its fields are read for you to confirm. Enter alone opens empty fields.</p>
            <div class="sources-acts">
                <input type="file" id="source-file" accept=".bib,.ris,.json,.txt" hidden aria-label="A file of sources">
                <button class="plain" type="button" id="source-take">Take in a file…</button>
                <button class="plain" type="button" id="source-elsewhere">From my other plans…</button>
                <span class="handing">Hand over as @foreach (\Embrel\Writer\SourceFormat::cases() as $format)<a class="link" href="{{ route('plan.source-file', [$plan, 'format' => $format->value]) }}" download>{{ $format->label() }}</a>@if (!$loop->last), @endif @endforeach</span>
            </div>
            <div class="sources-acts">
                <div class="filters" role="group" aria-label="Which are shown">@foreach (['all' => 'All', 'uncited' => 'Never cited', 'double' => 'Maybe double', 'unsourced' => 'Quotations without a source'] as $filter => $name)<button type="button" data-filter="{{ $filter }}" aria-pressed="{{ $filter === 'all' ? 'true' : 'false' }}">{{ $name }} <b>0</b></button>@endforeach</div>
                <label class="choice printed-as"><span>Printed as</span><select id="source-style"></select></label>
            </div>
            <ol id="source-entries" aria-label="Sources"></ol>
            <p class="hint" id="sources-empty" hidden>No sources yet. They make the list of references by themselves, in the style that you choose here.</p>
        </section>
        <aside class="source-form" id="source-form" aria-label="One source" hidden></aside>
    </main>
    <main class="research" id="research" @if ($view !== 'sorting-out') hidden @endif>
        <div class="research-top">
            <h1 id="research-head" tabindex="-1">What looks like research</h1>
            <p class="hint" id="research-hint">These are guesses. Up and Down go through them; <kbd class="kbd">Q</kbd> quotation, <kbd class="kbd">S</kbd> source, <kbd class="kbd">A</kbd> aside, <kbd class="kbd">I</kbd> into another note, <kbd class="kbd">L</kbd> leave, <kbd class="kbd">Space</kbd> marks, <kbd class="kbd">Enter</kbd> does it for all that are marked.</p>
            <div class="research-acts"><button class="primary" type="button" id="sort-marked"></button><button class="plain" type="button" id="mark-all-guesses">Mark all</button><button class="plain" type="button" id="read-pages" hidden></button></div>
        </div>
        <div class="guesses" id="guesses" role="listbox" aria-multiselectable="true" tabindex="0" aria-labelledby="research-head" hidden></div>
        <p class="hint" id="research-empty" hidden>Nothing in the outline looks like research: no bare addresses, no quotations, no references. What you mark in the outline can be sorted out from its menu.</p>
        <section class="sorted-part" id="sorted-part" aria-label="Sorted out" hidden><div class="sorted-head"><h2>Sorted out just now</h2><button class="plain" type="button" id="undo-sorted">Undo all of it</button></div><ul id="sorted"></ul></section>
    </main>
    <form class="catch" id="catch-form" @if (!in_array($view, ['outline', 'map'], true)) hidden @endif aria-label="Catch an idea">
        <input id="catch" aria-label="Catch an idea" placeholder="Catch an idea: type, then Enter. It waits with the loose ideas." maxlength="1000" autocomplete="off">
        <kbd class="kbd">Ctrl K</kbd>
        <button class="pill" type="button" id="loose">0 loose ideas</button>
        <span class="saved" id="words"></span>
    </form>
</div>
<div class="visually-hidden" id="live" aria-live="polite"></div>

<dialog id="properties" aria-labelledby="properties-head">
    <form>
        <h2 id="properties-head">The plan</h2>
        <div class="grid-2">
            <label class="field wide"><span>Title</span><input name="title" maxlength="1000" required></label>
            <label class="field wide"><span>Subtitle</span><input name="subtitle" maxlength="300"></label>
            <label class="field"><span>Author</span><input name="author" maxlength="300"></label>
            <label class="field"><span>Subject</span><input name="subject" maxlength="300"></label>
            <label class="field"><span>Form</span><select name="form">@foreach (\Embrel\Plan\Form::cases() as $form)<option value="{{ $form->value }}">{{ ucfirst($form->value) }}</option>@endforeach</select></label>
            <label class="field"><span>Language</span><select name="language">@foreach (['en' => 'English', 'en-GB' => 'English (British)', 'en-US' => 'English (American)', 'de' => 'German', 'fr' => 'French', 'es' => 'Spanish', 'it' => 'Italian', 'nl' => 'Dutch', 'pl' => 'Polish', 'ja' => 'Japanese', 'zh' => 'Chinese'] as $tag => $name)<option value="{{ $tag }}">{{ $name }}</option>@endforeach</select></label>
            <label class="field"><span>Target in words</span><input name="target" type="number" min="1" max="10000000"></label>
            <label class="field"><span>Due</span><input name="due" type="date"></label>
            <label class="field"><span>Numbering</span><select name="numbering"><option value="decimal">1 · 1.1 · 1.1.1</option><option value="essay">I. · A. · 1. · a.</option><option value="chapter">Chapter 1 · 1.1</option><option value="none">No numbers</option></select></label>
            <label class="field"><span>Number down to</span><select name="numbering_depth">@for ($i = 1; $i <= 9; $i++)<option value="{{ $i }}">Level {{ $i }}</option>@endfor</select></label>
            <label class="field"><span>Citations</span><select name="citation_style">@foreach (\Embrel\Citation\CitationStyle::cases() as $style)<option value="{{ $style->value }}">{{ $style->label() }}</option>@endforeach</select></label>
            <label class="field"><span>Paper</span><select name="page_size"><option value="a4">A4</option><option value="letter">Letter</option></select></label>
            <label class="choice" style="align-self:end"><span>Chapters run on across parts</span><input type="checkbox" name="run_on"></label>
        </div>
        <p class="error mt-2" role="alert"></p>
        <div class="dialog-foot"><button class="plain" type="button" id="share-out" style="margin-right:auto">Share the target out</button><button class="plain" type="button" data-close>Cancel</button><button class="primary">Save</button></div>
    </form>
</dialog>
<dialog id="choosing" aria-labelledby="choosing-head"><h2 id="choosing-head"></h2><label class="field"><span></span><input autocomplete="off"></label><ul class="choosing mt-3"></ul><div class="dialog-foot"><button class="plain" type="button" data-close>Cancel</button></div></dialog>
<dialog id="sources" aria-labelledby="sources-head"><h2 id="sources-head">Sources</h2><ul class="loose-list"></ul><div class="dialog-foot"><button class="plain" type="button" data-close>Close</button></div></dialog>
<dialog id="refusals" aria-labelledby="refusals-head"><h2 id="refusals-head">What could not be changed</h2><p class="hint">The plan has changed meanwhile. Nothing of what you wrote is lost: decide for each where it goes.</p><ul class="refusals"></ul><div class="dialog-foot"><button class="plain" type="button" data-close>Decide later</button></div></dialog>
<dialog id="replace-changes" aria-labelledby="replace-head"><form><h2 id="replace-head">What will change</h2><ul class="changes"></ul><p class="hint more"></p><div class="dialog-foot"><button class="plain" type="button" data-close>Cancel</button><button class="primary" autofocus></button></div></form></dialog>
<dialog id="question" aria-labelledby="question-head"><h2 id="question-head"></h2><p></p><div class="dialog-foot"><button class="plain" type="button" data-close>Cancel</button><button class="primary" type="button"></button></div></dialog>
<dialog id="link" aria-labelledby="link-head"><form id="link-form" novalidate><h2 id="link-head">Link</h2><label class="field"><span>Address</span><input name="address" inputmode="url" autocomplete="off" placeholder="https://"></label><p class="error mt-2" role="alert"></p><div class="dialog-foot"><button class="plain" type="button" id="remove-link" style="margin-right:auto">No link</button><button class="plain" type="button" data-close>Cancel</button><button class="primary">Set the link</button></div></form></dialog>
<input type="file" id="note-picture" accept="image/png,image/jpeg,image/webp,image/gif" aria-label="Picture for the note" hidden>
<dialog id="cite" aria-labelledby="cite-head"><form novalidate><h2 id="cite-head">Cite a source</h2><label class="field"><span>Letters of the author or title, or a new source</span><input id="cite-find" autocomplete="off" maxlength="2000" placeholder="Pell"></label><ul class="cite-found" id="cite-list"></ul><ul class="cite-chosen" id="cite-chosen"></ul><p class="cite-preview" id="cite-preview" aria-live="polite" aria-label="As it will be printed"></p><div class="dialog-foot"><button class="plain danger" type="button" id="cite-remove" style="margin-right:auto">Take the citation out</button><button class="plain" type="button" data-close>Cancel</button><button class="primary">Cite</button></div></form></dialog>
<dialog id="footnote" aria-labelledby="footnote-head"><form><h2 id="footnote-head">Footnote</h2><div class="box footnote-text" id="footnote-text"></div><div class="dialog-foot"><button class="plain danger" type="button" id="footnote-remove" style="margin-right:auto">Take it out</button><button class="plain" type="button" id="footnote-cite">Cite a source…</button><button class="plain" type="button" data-close>Cancel</button><button class="primary">Keep the footnote</button></div></form></dialog>
<dialog id="fold" aria-labelledby="fold-head"><h2 id="fold-head">Into the note above</h2><p></p><div class="dialog-foot"><button class="plain" type="button" data-close>Cancel</button><button class="plain" type="button" data-as="list">As a list</button><button class="plain" type="button" data-as="quotations">As quotations</button><button class="primary" type="button" data-as="paragraphs">As paragraphs</button></div></dialog>
<dialog id="report" aria-labelledby="report-head"><h2 id="report-head"></h2><ul class="report-lines"></ul><div class="dialog-foot"><button class="primary" type="button" data-close>Close</button></div></dialog>
<dialog id="relation" aria-labelledby="relation-head"><form><h2 id="relation-head">Relation</h2><p class="hint"></p><div class="grid-2 mt-3"><label class="field wide"><span>Label</span><input name="label" maxlength="200" autocomplete="off"></label><label class="field wide"><span>Arrow</span><select name="arrows"></select></label></div><fieldset class="swatches"></fieldset><div class="dialog-foot"><button class="plain danger" type="button" id="remove-relation">Remove</button><button class="plain" type="button" id="straighten-relation" style="margin-right:auto">Let it find its way</button><button class="plain" type="button" data-close>Cancel</button><button class="primary">Save</button></div></form></dialog>
<dialog id="keys" aria-labelledby="keys-head"><h2 id="keys-head">All the keys</h2><x-keys-table/><div class="dialog-foot"><button class="plain" type="button" data-close>Close</button></div></dialog>
@foreach (['chevron-right' => 14, 'ellipsis' => 16, 'notebook-pen' => 15] as $icon => $size)
    <template id="icon-{{ $icon }}"><x-icon :name="$icon" :size="$size"/></template>
@endforeach
<script type="application/json" id="plan-data">{!! json_encode($data, JSON_HEX_TAG | JSON_HEX_AMP | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR) !!}</script>
</x-layouts.app>
