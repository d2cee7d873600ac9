@props(['plan', 'view'])
<main class="sources" id="sources-view" @if ($view !== 'sources') hidden @endif>
    <h1 class="visually-hidden">Sources</h1>
    <section class="sources-list" aria-label="All sources">
        <form id="source-line-form" class="source-line" method="dialog"><input class="box" id="source-line" aria-label="Add a source"
            placeholder="Pell, Tides and Walls, 1994, or an address of the web" maxlength="8000" autocomplete="off"><button
            class="primary">Add…</button></form>
        <p class="hint">Type or paste a line as it stands in a list of references, a DOI or an ISBN, then Enter: it is read for you to confirm. Enter
            alone opens empty fields.</p>
        <input type="file" id="source-file" accept=".bib,.ris,.json,.xml,.txt" hidden aria-label="A file of sources">
        <div class="sources-acts">
            <div class="filters" role="group"
                aria-label="Which are shown">@foreach (['all' => 'All', 'uncited' => 'Never cited', 'double' => 'Maybe double',
                'unsourced' => 'Quotations without a source'] as $filter => $name)<button type="button" data-filter="{{ $filter }}"
                aria-pressed="{{ $filter === 'all' ? 'true' : 'false' }}">{{ $name }} <b>0</b></button>@endforeach</div>
        </div>
        <p class="hint warning" id="sources-said" role="status"></p>
        <ol id="source-entries" aria-label="Sources"></ol>
        <p class="hint" id="sources-empty" hidden>No sources yet. They make the list of references by themselves, in the style that you
            choose here.</p>
    </section>
    <aside class="source-form" id="source-form" aria-label="One source" hidden></aside>
</main>
<main class="research" id="research" @if ($view !== 'sorting-out') hidden @endif>
    <div class="research-top">
        <h1 id="research-head" tabindex="-1">What looks like research</h1>
        <p class="hint" id="research-hint">These are guesses. Up and Down go through them; <kbd class="kbd">Q</kbd> quotation,
            <kbd class="kbd">S</kbd> source, <kbd class="kbd">A</kbd> aside, <kbd class="kbd">I</kbd> into another note,
            <kbd class="kbd">L</kbd> leave, <kbd class="kbd">Space</kbd> marks,
            <kbd class="kbd">Enter</kbd> does it for all that are marked.</p>
        <div class="research-acts"><button class="primary" type="button" id="sort-marked"></button><button class="plain" type="button"
            id="mark-all-guesses">Mark all</button><button class="plain" type="button" id="read-pages" hidden></button></div>
    </div>
    <div class="guesses" id="guesses" role="listbox" aria-multiselectable="true" tabindex="0" aria-labelledby="research-head" hidden></div>
    <p class="hint" id="research-empty" hidden>Nothing in the outline looks like research: no bare addresses, no quotations, no references.
        What you mark in the outline can be sorted out from its menu.</p>
    <section class="sorted-part" id="sorted-part" aria-label="Sorted out" hidden><div
        class="sorted-head"><h2>Sorted out just now</h2><button class="plain" type="button"
        id="undo-sorted">Undo all of it</button></div><ul id="sorted"></ul></section>
</main>
