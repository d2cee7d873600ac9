<x-layouts.app :title="$plan->title . ' – Embrel'" :scripts="['resources/js/outline.js']">
<div class="plan">
    <x-plan-head :plan="$plan" current="outline">
        <button class="plan-title" id="title" type="button" title="Properties of the plan">{{ $plan->title }}</button>
        <span class="saved" id="saved" role="status">Saved</span>
        <x-slot:acts>
            <button class="ico" id="add" type="button" title="New topic" aria-label="New topic"><x-icon name="plus"/></button>
            <button class="ico" id="undo" type="button" title="Undo (Ctrl Z)" aria-label="Undo"><x-icon name="undo-2"/></button>
            <button class="ico hide-small" id="redo" type="button" title="Redo (Ctrl Shift Z)" aria-label="Redo"><x-icon name="redo-2"/></button>
            <button class="ico hide-small" id="show-keys" type="button" title="All the keys (?)" aria-label="All the keys"><x-icon name="keyboard"/></button>
            <button class="ico hide-small" id="opening" type="button" title="Opening note of the plan" aria-label="Opening note of the plan"><x-icon name="notebook-pen"/></button>
            <button class="ico" id="settings" type="button" title="Properties of the plan" aria-label="Properties of the plan"><x-icon name="settings-2"/></button>
            <a class="ico hide-small" href="{{ route('intake', ['into' => $plan->id]) }}" title="Take in text or a file" aria-label="Take in text or a file"><x-icon name="file-up"/></a>
        </x-slot:acts>
    </x-plan-head>
    <nav class="strip" id="strip" aria-label="Main sections"></nav>
    <div class="work without-note" id="work">
        <main class="outline-side">
            <h1 class="visually-hidden">Outline</h1>
            <nav class="crumbs" id="crumbs" aria-label="Way back" hidden></nav>
            <div class="scroller" id="outline" tabindex="-1">
                <div class="empty" id="empty" hidden>
                    <p>What is the first thing that this piece has to say?</p>
                    <input class="box mt-3" id="first-topic" aria-label="First topic" placeholder="Type a topic, then Enter" maxlength="1000" autocomplete="off">
                    <p class="hint mt-2">Enter makes the next topic, Tab moves it one level in. <a class="link" href="{{ route('intake', ['into' => $plan->id]) }}">Take in text or a file</a> that you have already.</p>
                </div>
                <div class="tree" role="tree" tabindex="0" aria-label="Topics" aria-multiselectable="true"></div>
            </div>
        </main>
        <aside class="note" id="note" aria-label="Note" hidden>
            <div class="note-head"><span id="note-parent"></span><span class="tail"><span id="note-words"></span><button class="ico" id="close-note" type="button" title="Close the note" aria-label="Close the note"><x-icon name="x" :size="16"/></button></span></div>
            <h1 id="note-title"></h1>
            <div class="page" id="page"></div>
            <div class="tools" role="toolbar" aria-label="Formatting">
                @foreach (['bold' => 'Bold', 'italic' => 'Italic', 'underline' => 'Underline', 'strike' => 'Strike', 'highlight' => 'Highlight', 'heading' => 'Heading', 'blockquote' => 'Quote', 'bulletList' => 'List', 'orderedList' => 'Numbered list', 'link' => 'Link'] as $tool => $name)
                    <button type="button" data-tool="{{ $tool }}" title="{{ $name }}" aria-label="{{ $name }}" aria-pressed="false"><x-icon :name="['strike' => 'strikethrough', 'highlight' => 'highlighter', 'blockquote' => 'quote', 'bulletList' => 'list', 'orderedList' => 'list-ordered'][$tool] ?? $tool" :size="16"/></button>
                @endforeach
                <span class="space"></span><kbd class="kbd" title="Esc: back to the title">Esc</kbd>
            </div>
        </aside>
    </div>
    <form class="catch" id="catch-form" aria-label="Catch an idea">
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
            <label class="field"><span>Paper</span><select name="page_size"><option value="a4">A4</option><option value="letter">Letter</option></select></label>
            <label class="choice" style="align-self:end"><span>Chapters run on across parts</span><input type="checkbox" name="run_on"></label>
        </div>
        <p class="error mt-2" role="alert"></p>
        <div class="dialog-foot"><button class="plain" type="button" id="share-out" style="margin-right:auto">Share the target out</button><button class="plain" type="button" data-close>Cancel</button><button class="primary">Save</button></div>
    </form>
</dialog>
<dialog id="loose-ideas" aria-labelledby="loose-head"><h2 id="loose-head">Loose ideas</h2><p class="no-loose">Nothing is loose. Ctrl K catches an idea that has no place yet.</p><ul class="loose-list"></ul><div class="dialog-foot"><button class="plain" type="button" data-close>Close</button></div></dialog>
<dialog id="move-to" aria-labelledby="move-head"><h2 id="move-head">Move to</h2><label class="field"><span>Number, or some letters of a title</span><input autocomplete="off"></label><ul class="grid gap-1 mt-3"></ul><div class="dialog-foot"><button class="plain" type="button" data-close>Cancel</button></div></dialog>
<dialog id="question" aria-labelledby="question-head"><h2 id="question-head"></h2><p></p><div class="dialog-foot"><button class="plain" type="button" data-close>Cancel</button><button class="primary" type="button"></button></div></dialog>
<dialog id="link" aria-labelledby="link-head"><form id="link-form" novalidate><h2 id="link-head">Link</h2><label class="field"><span>Address</span><input name="address" inputmode="url" autocomplete="off" placeholder="https://"></label><p class="error mt-2" role="alert"></p><div class="dialog-foot"><button class="plain" type="button" id="remove-link" style="margin-right:auto">No link</button><button class="plain" type="button" data-close>Cancel</button><button class="primary">Set the link</button></div></form></dialog>
<dialog id="keys" aria-labelledby="keys-head"><h2 id="keys-head">All the keys</h2><x-keys-table/><div class="dialog-foot"><button class="plain" type="button" data-close>Close</button></div></dialog>
@foreach (['chevron-right' => 14, 'ellipsis' => 16, 'notebook-pen' => 15] as $icon => $size)
    <template id="icon-{{ $icon }}"><x-icon :name="$icon" :size="$size"/></template>
@endforeach
<script type="application/json" id="plan-data">{!! json_encode($data, JSON_HEX_TAG | JSON_HEX_AMP | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR) !!}</script>
</x-layouts.app>
