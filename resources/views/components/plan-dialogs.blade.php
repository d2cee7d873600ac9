@props(['plan'])
<dialog id="properties" aria-labelledby="properties-head">
    <form>
        <h2 id="properties-head">The plan</h2>
        <div class="grid-2">
            <label class="field wide"><span>Title</span><input name="title" maxlength="1000" required></label>
            <label class="field wide"><span>Subtitle</span><input name="subtitle" maxlength="300"></label>
            <label class="field"><span>Author</span><input name="author" maxlength="300"></label>
            <label class="field"><span>Subject</span><input name="subject" maxlength="300"></label>
            <label class="field"><span>Form</span><select name="form">@foreach (\Embrel\Plan\Form::cases() as $form)<option
                value="{{ $form->value }}">{{ ucfirst($form->value) }}</option>@endforeach</select></label>
            <label class="field"><span>Language</span><select
                name="language">@foreach (['en' => 'English', 'en-GB' => 'English (British)', 'en-US' => 'English (American)',
                'de' => 'German', 'fr' => 'French', 'es' => 'Spanish', 'it' => 'Italian', 'nl' => 'Dutch', 'pt' => 'Portuguese', 'pl' => 'Polish',
                'ja' => 'Japanese', 'zh' => 'Chinese'] as $tag => $name)<option
                value="{{ $tag }}">{{ $name }}</option>@endforeach</select></label>
            <label class="field"><span>Target in words</span><input name="target" type="number" min="1" max="10000000"></label>
            <label class="field"><span>Due</span><input name="due" type="date"></label>
            <label class="field"><span>Numbering</span><select name="numbering"><option value="decimal">1 · 1.1 · 1.1.1</option><option
                value="essay">I. · A. · 1. · a.</option><option value="chapter">Chapter 1 · 1.1</option><option
                value="none">No numbers</option><option value="own" hidden>Of one’s own</option></select></label>
            <label class="field"><span>Number down to</span><select name="numbering_depth">@for ($i = 1; $i <= 9; $i++)<option
                value="{{ $i }}">Level {{ $i }}</option>@endfor</select></label>
            <div class="field"><label for="property-style">Citations</label><select id="property-style" name="citation_style"></select><button
                class="link" type="button" id="property-styles">All styles…</button></div>
            <label class="field"><span>Paper</span><select name="page_size"><option value="a4">A4</option><option
                value="letter">Letter</option></select></label>
            <label class="choice" style="align-self:end"><span>Chapters run on across parts</span><input type="checkbox"
                name="run_on"></label>
        </div>
        <p class="error mt-2" role="alert"></p>
        <div class="dialog-foot"><button class="plain" type="button" id="share-out"
            style="margin-right:auto">Share the target out</button><button class="plain" type="button" data-close>Cancel</button><button
            class="primary">Save</button></div>
    </form>
</dialog>
<dialog id="number-forms" aria-labelledby="number-forms-head"><form method="dialog"><h2 id="number-forms-head">Numbers of your own</h2><p
    class="hint">The count stands in braces: {1}, {I}, {i}, {A}, {a} or {One}. The last is of the level itself, those before it of the
    levels above.</p><label class="field mt-3"><span>Begin from</span><select id="number-forms-from"></select></label><div
    id="number-forms-levels" class="mt-3"></div><p class="error mt-2" role="alert"></p><div class="number-forms-kept mt-3"><label
    class="field"><span>Keep it under the name</span><input class="box" id="number-forms-name" maxlength="80" autocomplete="off"></label><button
    class="plain" type="button" id="number-forms-keep">Keep</button><button class="plain danger" type="button" id="number-forms-forget"
    hidden>Remove</button></div><div class="dialog-foot"><button class="plain" type="button" data-close>Cancel</button><button
    class="primary">Number the plan so</button></div></form></dialog>
<dialog id="labels" aria-labelledby="labels-head"><h2 id="labels-head">Labels</h2><p class="hint" id="labels-hint">A label is a word of
    your own on topics, such as “field” or “archive”. Press K on a topic to put one on it.</p><ul class="labels-list"
    id="labels-list"></ul><p class="hint" id="labels-alike">Two that are called alike become one.</p><div class="dialog-foot"><button class="plain"
    type="button" data-close>Close</button></div></dialog>
<dialog id="questions" class="wide" aria-labelledby="questions-head"><h2 id="questions-head">Questions</h2><p class="hint">Take those that
    lead on. In the note a question waits for its answer, and never prints.</p><ul class="questions" id="questions-list"></ul><p
    id="questions-said" role="status"></p><div class="dialog-foot"><button class="plain" type="button" id="questions-again" hidden>Ask all
    again</button><button class="plain" type="button" data-close>Close</button></div></dialog>
<dialog id="days-back" aria-labelledby="days-back-head"><h2 id="days-back-head">Days from a file</h2><p id="days-back-says"></p><ul
    class="changes" id="days-back-list"></ul><div class="dialog-foot"><button class="plain" type="button"
    data-close>Leave it</button><button class="primary" type="button" data-do>Change the plan</button></div></dialog>
<input type="file" id="days-file" accept=".ics,.csv,text/calendar,text/csv" aria-label="A file of days" hidden>
<dialog id="choosing" aria-labelledby="choosing-head"><h2 id="choosing-head"></h2><label class="field"><span></span><input
    autocomplete="off"></label><ul class="choosing mt-3"></ul><div class="dialog-foot"><button class="plain" type="button"
    data-close>Cancel</button></div></dialog>
<dialog id="sources" aria-labelledby="sources-head"><h2 id="sources-head">Sources</h2><ul class="loose-list"></ul><div
    class="dialog-foot"><button class="plain" type="button" data-close>Close</button></div></dialog>
<dialog id="refusals" aria-labelledby="refusals-head"><h2 id="refusals-head">What could not be changed</h2><p
    class="hint">The plan has changed meanwhile. Nothing of what you wrote is lost: decide for each where it goes.</p><ul
    class="refusals"></ul><div class="dialog-foot"><button class="plain" type="button" data-close>Decide later</button></div></dialog>
<dialog id="replace-changes" aria-labelledby="replace-head"><form><h2 id="replace-head">What will change</h2><ul class="changes"></ul><p
    class="hint more"></p><div class="dialog-foot"><button class="plain" type="button" data-close>Cancel</button><button class="primary"
    autofocus></button></div></form></dialog>
<dialog id="question" aria-labelledby="question-head"><h2 id="question-head"></h2><p></p><div class="dialog-foot"><button class="plain"
    type="button" data-close>Cancel</button><button class="primary" type="button"></button></div></dialog>
<dialog id="link" aria-labelledby="link-head"><form id="link-form" novalidate><h2 id="link-head">Link</h2><label
    class="field"><span>Address</span><input name="address" inputmode="url" autocomplete="off" placeholder="https://"></label><p
    class="error mt-2" role="alert"></p><div class="dialog-foot"><button class="plain" type="button" id="remove-link"
    style="margin-right:auto">No link</button><button class="plain" type="button" data-close>Cancel</button><button
    class="primary">Set the link</button></div></form></dialog>
<input type="file" id="note-picture" accept="image/png,image/jpeg,image/webp,image/gif" aria-label="Picture for the note" hidden>
<dialog id="cite" aria-labelledby="cite-head"><form novalidate><h2 id="cite-head">Cite a source</h2><label
    class="field"><span>Letters of the author or title, or a new source</span><input id="cite-find" autocomplete="off" maxlength="2000"
    placeholder="Pell"></label><ul class="cite-found" id="cite-list"></ul><ul class="cite-chosen" id="cite-chosen"></ul><p
    class="cite-preview" id="cite-preview" aria-live="polite" aria-label="As it will be printed"></p><div class="dialog-foot"><button
    class="plain danger" type="button" id="cite-remove" style="margin-right:auto">Take the citation out</button><button class="plain"
    type="button" data-close>Cancel</button><button class="primary">Cite</button></div></form></dialog>
<dialog id="footnote" aria-labelledby="footnote-head"><form><h2 id="footnote-head">Footnote</h2><div class="box footnote-text"
    id="footnote-text"></div><div class="dialog-foot"><button class="plain danger" type="button" id="footnote-remove"
    style="margin-right:auto">Take it out</button><button class="plain" type="button" id="footnote-cite">Cite a source…</button><button
    class="plain" type="button" data-close>Cancel</button><button class="primary">Keep the footnote</button></div></form></dialog>
<dialog id="fold" aria-labelledby="fold-head"><h2 id="fold-head">Into the note above</h2><p></p><div class="dialog-foot"><button
    class="plain" type="button" data-close>Cancel</button><button class="plain" type="button" data-as="list">As a list</button><button
    class="plain" type="button" data-as="quotations">As quotations</button><button class="primary" type="button"
    data-as="paragraphs">As paragraphs</button></div></dialog>
<dialog id="report" aria-labelledby="report-head"><h2 id="report-head"></h2><ul class="report-lines"></ul><div class="dialog-foot"><button
    class="primary" type="button" data-close>Close</button></div></dialog>
<dialog id="relation" aria-labelledby="relation-head"><form><h2 id="relation-head">Relation</h2><p class="hint"></p><div
    class="grid-2 mt-3"><label class="field wide"><span>Label</span><input name="label" maxlength="200" autocomplete="off"></label><label
    class="field wide"><span>Arrow</span><select name="arrows"></select></label></div><fieldset class="swatches"></fieldset><div
    class="dialog-foot"><button class="plain danger" type="button" id="remove-relation">Remove</button><button class="plain" type="button"
    id="straighten-relation" style="margin-right:auto">Let it find its way</button><button class="plain" type="button"
    data-close>Cancel</button><button class="primary">Save</button></div></form></dialog>
<dialog id="keys" aria-labelledby="keys-head"><h2 id="keys-head">All the keys</h2><label
    class="field"><span>What do you want to do?</span><input type="search" autocomplete="off" placeholder="Move, note, Ctrl K…"
    maxlength="80"></label><p class="hint mt-2">What can be done where you are is done from here: Enter does the first.</p><div
    class="commands" tabindex="-1"></div><p class="hint nothing" hidden>Nothing is called so.</p><div class="dialog-foot"><a class="link"
    href="{{ route('keys') }}" target="_blank" style="margin-right:auto">As a page, to print</a><button class="plain" type="button"
    data-close>Close</button></div></dialog>
<dialog id="keep-pattern" aria-labelledby="keep-pattern-head"><form><h2 id="keep-pattern-head">Keep as a pattern</h2><p
    class="hint" id="keep-pattern-says"></p><label class="field"><span>Name</span><input name="name" maxlength="120"
    required autocomplete="off"></label><label class="choice"><input type="checkbox" name="notes"> With what the notes say; the questions in
    them are kept anyway</label><label class="choice"><input type="checkbox" name="targets" checked> With targets in words</label><p class="error mt-2"
    role="alert"></p><div class="dialog-foot"><button class="plain" type="button" data-close>Cancel</button><button
    class="primary">Keep it</button></div></form></dialog>
<dialog id="set-pattern" class="wide" aria-labelledby="set-pattern-head"><form><h2 id="set-pattern-head">Set a pattern</h2><fieldset
    class="patterns" id="pattern-choices"><legend class="visually-hidden">Pattern</legend></fieldset><p class="error mt-2" role="alert"></p><div
    class="dialog-foot"><button class="plain" type="button" data-close>Cancel</button><button class="primary">Set it</button></div></form></dialog>
<dialog id="keep-version" aria-labelledby="keep-head"><form action="{{ route('plan.history', $plan) }}"><h2
    id="keep-head">Keep this version</h2><p class="hint">The plan as it is now, to be found again in its history.</p><label
    class="field mt-3"><span>Name</span><input name="name" maxlength="120" required autocomplete="off"
    placeholder="Before the supervisor’s comments"></label><p class="error mt-2" role="alert"></p><div class="dialog-foot"><button
    class="plain" type="button" data-close>Cancel</button><button class="primary">Keep it</button></div></form></dialog>
<dialog id="rules-dialog" aria-labelledby="rules-head"><form method="dialog"><h2 id="rules-head">What is looked for</h2><p
    class="hint">For this plan, and for everyone who writes in it. What is switched off can be switched on again here.</p><div
    class="rules" id="rules"></div><p class="error mt-2" role="alert"></p><div class="dialog-foot"><button
    class="primary">Done</button></div></form></dialog>
<dialog id="aside-dialog" aria-labelledby="aside-head"><form><h2 id="aside-head">Set this aside</h2><p class="hint"
    id="aside-what"></p><label class="field mt-3"><span>Why (may stay empty)</span><input name="why" maxlength="300"
    autocomplete="off"></label><div class="dialog-foot"><button class="plain" type="button"
    data-close>Cancel</button><button class="primary">Set aside</button></div></form></dialog>
<dialog id="days-dialog" aria-labelledby="days-head"><form><h2 id="days-head">Days on which you write</h2><p class="hint">Yours alone, in
    this plan: words a day are reckoned by them.</p><fieldset class="weekdays"><legend>Days of the
    week</legend>@foreach (['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as $i => $day)<label
    class="check"><input type="checkbox" name="weekday" value="{{ $i + 1 }}"> {{ $day }}</label>@endforeach</fieldset><fieldset
    class="days-off"><legend>Days off</legend><ul id="days-off"></ul><button class="link" type="button" id="add-days-off">Add days
    off</button></fieldset><p class="error mt-2" role="alert"></p><div class="dialog-foot"><button class="plain" type="button"
    data-close>Cancel</button><button class="primary">Save</button></div></form></dialog>
<dialog id="share" aria-labelledby="share-head"><h2 id="share-head">Who may see this plan</h2><form class="invite" novalidate hidden><input
    class="box" type="email" name="email" aria-label="E-mail address" placeholder="E-mail address" maxlength="190" autocomplete="off" required><select
    class="box" name="role" aria-label="What they may do"><option value="comments">may comment</option><option
    value="writes">may write</option><option value="reads">may read</option></select><button class="primary">Invite</button></form><p
    class="error mt-2" role="alert"></p><p class="letter-link" hidden></p><ul class="people"></ul><div class="by-link" hidden></div><div
    class="dialog-foot"><button class="plain" type="button" data-close>Close</button></div></dialog>
<dialog id="votes" aria-labelledby="votes-head"><h2 id="votes-head">Votes</h2><p class="error mt-2" role="alert"></p><div class="votes"></div><p
    class="hint votes-none">Nothing is voted on yet.</p><form class="new-vote" novalidate hidden><h3>Open a vote</h3><label
    class="field"><span>What is asked</span><input name="question" maxlength="300" autocomplete="off"
    placeholder="Which of these should stay?"></label><div class="new-vote-set"><label>Signs for each person <input class="box" type="number"
    name="signs" min="1" max="50" value="3"></label><label class="check"><input type="checkbox" name="secret"> In secret until it is
    closed</label></div><p class="hint"></p><button class="primary">Open the vote</button></form><div class="dialog-foot"><button class="plain"
    type="button" data-close>Close</button></div></dialog>
