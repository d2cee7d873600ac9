@php
    $is = static fn(string $name, bool $default = true): bool => isset($kept[$name]) ? filter_var($kept[$name], FILTER_VALIDATE_BOOLEAN) : $default;
    $traits = array_map(static fn(\Embrel\Writer\Format $format): array => $format->traits(), array_column(\Embrel\Writer\Format::offered(), null, 'value'));
    $one = static fn(string $name, string|int $default): string => is_scalar($kept[$name] ?? null) ? (string) $kept[$name] : (string) $default;
@endphp
<x-plan-frame :plan="$plan" current="hand-over" :title="'Hand over: ' . $plan->title . ' – Embrel'" class="beside" x-data="handOver"
    data-address="{{ route('hand-over', $plan) }}" data-format="{{ $chosen }}" data-traits="{{ json_encode($traits) }}"
    data-name="{{ \App\Store\WorkFolder::fileName($plan->title) }}">
    <div class="settle">
        <form class="choices opens" id="choices" autocomplete="off" aria-label="Choices" x-bind:class="{ 'is-open': isChoosing }"
            x-on:keydown.escape="closeChoices">
            <h2 id="format-head">Format</h2>
            <div class="formats" role="radiogroup" aria-labelledby="format-head">
                @foreach (\Embrel\Writer\Format::offered() as $format)
                    <label><input type="radio" name="format" value="{{ $format->value }}" x-model="format"
                        @checked($format->value === $chosen)>{{ $format->label() }} <small>{{ $format->extension() }}</small></label>
                @endforeach
            </div>
            <h2>What goes in</h2>
            <label class="choice"><span>From</span><select name="from"><option
                value="">The whole plan</option>@foreach ($branches as $branch)<option value="{{ $branch['id'] }}"
                @selected($branch['id'] === $from)>{{ \Illuminate\Support\Str::limit($branch['name'],
                60) }}</option>@endforeach</select></label>
            <label class="choice" x-show="isDraft"><span>Headings down to</span><select
                name="heading_depth">@for ($i = 1; $i <= 9; $i++)<option value="{{ $i }}"
                @selected((string) $i === $one('heading_depth', 3))>Level {{ $i }}</option>@endfor</select></label>
            <label class="choice" x-show="isMap"><span>As I see it now, with what is folded</span><input type="checkbox" name="seen"
                @checked($seen)></label>
            <label class="choice" x-show="isNumberedOutline"><span>Notes under their topics</span><input type="checkbox" name="text_notes"
                @checked($is('text_notes', false))></label>
            <label class="choice" x-show="hasNotes"><span>Notes</span><input type="checkbox" name="notes" @checked($is('notes'))></label>
            <label class="choice" x-show="isDraft"><span>Pictures</span><input type="checkbox" name="pictures"
                @checked($is('pictures'))></label>
            <label class="choice" x-show="isDraft"><span>Quotes</span><input type="checkbox" name="quotes" @checked($is('quotes'))></label>
            <label class="choice" x-show="isDraft"><span>Points</span><select
                name="points">@foreach (['list' => 'As list items', 'text' => 'As paragraphs',
                'out' => 'Left out'] as $value => $name)<option value="{{ $value }}"
                @selected($value === $one('points', 'list'))>{{ $name }}</option>@endforeach</select></label>
            <label class="choice" x-show="isDraft"><span>Asides</span><select
                name="asides">@foreach (['out' => 'Left out', 'text' => 'As paragraphs'] as $value => $name)<option value="{{ $value }}"
                @selected($value === $one('asides', 'out'))>{{ $name }}</option>@endforeach</select></label>
            <label class="choice" x-show="isDraft"><span>Sections without text</span><input type="checkbox" name="empty"
                @checked($is('empty'))></label>
            <label class="choice" x-show="isDraft"><span>Relations, as “See also”</span><input type="checkbox" name="see_also"
                @checked($is('see_also', false))></label>
            <label class="choice" x-show="isDraft"><span>List of references</span><input type="checkbox" name="sources"
                @checked($is('sources'))></label>
            <label class="choice" x-show="isDraft || isText"><span>Also sources that are never cited</span><input type="checkbox"
                name="all_sources" @checked($is('all_sources', false))></label>
            <label class="choice" x-show="isOpml"><span>Notes for other programs too</span><input type="checkbox" name="other_notes"
                @checked($is('other_notes'))></label>
            <label class="choice" x-show="isText || isOpml"><span>Loose ideas, at the end</span><input type="checkbox" name="loose"
                @checked($is('loose', false))></label>
            <h2 x-show="isMap">How it is drawn</h2>
            <label class="choice" x-show="isMap"><span>Arrangement</span><select
                name="arrangement">@foreach (['spine' => 'Spine', 'both' => 'Both sides', 'round' => 'Round'] as $value => $name)<option
                value="{{ $value }}" @selected($value === $look->arrangement->value)>{{ $name }}</option>@endforeach</select></label>
            <label class="choice" x-show="isMap"><span>Style</span><select
                name="style">@foreach (\Embrel\Layout\Map\Style::cases() as $style)<option value="{{ $style->value }}"
                @selected($style === $look->style)>{{ \Illuminate\Support\Str::before($style->name(),
                ':') }}</option>@endforeach</select></label>
            <label class="choice" x-show="isMap && !isPaper"><span>White ground</span><input type="checkbox" name="ground"
                @checked($is('ground'))></label>
            <label class="choice" x-show="isMap && !isPaper"><span>File</span><select x-model="kind"><option
                value="svg">SVG, text as text</option><option value="fonts">SVG with its fonts</option><option value="1">PNG</option><option
                value="2">PNG, twice as large</option><option value="3">PNG, three times as large</option></select></label>
            <label class="choice" x-show="isPaper"><span>Paper</span><select
                name="paper">@foreach (['a4' => 'A4', 'a3' => 'A3', 'a2' => 'A2', 'letter' => 'Letter',
                'tabloid' => 'Tabloid'] as $value => $name)<option value="{{ $value }}"
                @selected($value === $properties->pageSize)>{{ $name }}</option>@endforeach</select></label>
            <label class="choice" x-show="isPaper"><span>Across several sheets, in its own size</span><input type="checkbox"
                name="several"></label>
            <h2 x-show="!isOpml">How it reads</h2>
            <label class="choice" x-show="!isOpml"><span>Numbering</span><select
                name="numbering">@foreach (['decimal' => '1 · 1.1 · 1.1.1', 'essay' => 'I. · A. · 1. · a.', 'chapter' => 'Chapter 1 · 1.1',
                'none' => 'No numbers'] as $value => $name)<option value="{{ $value }}"
                @selected($value === $one('numbering', $properties->scheme->value))>{{ $name }}</option>@endforeach</select></label>
            <label class="choice" x-show="!isOpml"><span>Number down to</span><select
                name="number_depth">@for ($i = 1; $i <= 9; $i++)<option value="{{ $i }}"
                @selected((string) $i === $one('number_depth', $properties->depth))>Level {{ $i }}</option>@endfor</select></label>
            <p class="hint" x-show="!isOpml">Changed here, numbering holds for this hand-over only. The plan keeps its own.</p>
            <p class="hint" x-show="isDraft">Citations are printed as {{ $properties->citationStyle->label() }}; the plan’s properties
                change that.</p>
            <label class="choice" x-show="isDraft"><span>Lists set in down to</span><select
                name="indent_depth">@for ($i = 1; $i <= 9; $i++)<option value="{{ $i }}"
                @selected((string) $i === $one('indent_depth', 9))>Level {{ $i }}</option>@endfor</select></label>
            <label class="choice" x-show="hasContents"><span>Contents page</span><input type="checkbox" name="contents"
                @checked($is('contents'))></label>
            <label class="choice" x-show="hasContents"><span>Contents down to</span><select
                name="contents_depth">@for ($i = 1; $i <= 9; $i++)<option value="{{ $i }}"
                @selected((string) $i === $one('contents_depth', 3))>Level {{ $i }}</option>@endfor</select></label>
            <label class="choice" x-show="hasContents"><span>List of figures</span><input type="checkbox" name="figures"
                @checked($is('figures', false))></label>
            <label class="choice" x-show="isStyled"><span>Style</span><select name="draft_style"
                x-model="draftStyle">@foreach ($styles as $id => $style)<option value="{{ $id }}"
                @selected((string) $id === $one('draft_style', 'report'))>{{ $style['name'] }}</option>@endforeach</select></label>
            <p class="row-acts" x-show="isStyled"><button type="button" class="link" x-on:click="editStyle">Change this style…</button></p>
            <label class="choice" x-show="isTemplated"><span>Template of your own</span><select name="template" x-model="template"><option
                value="">None</option>@foreach ($templates as $id => $template)<option value="{{ $id }}" data-kind="{{ $template['kind'] }}"
                @selected((string) $id === $one('template', ''))>{{ \Illuminate\Support\Str::limit($template['name'],
                40) }}</option>@endforeach</select></label>
            <p class="row-acts" x-show="isTemplated"><button type="button" class="link"
                x-on:click="pickTemplate">Upload a document…</button> <button type="button" class="link" x-show="template"
                x-on:click="editTemplate">Which style for what…</button></p>
            <p class="hint" x-show="isOtherTemplate">This template is a document of another kind: its fonts, sizes, spacing, page, head and
                foot are taken on, and the rest of its styles when you hand over in its own.</p>
            <label class="choice" x-show="isMarkable"><span>Marks, so that it can come back</span><input type="checkbox" name="marks"
                @checked($is('marks'))></label>
            <label class="choice" x-show="isMarkdown"><span>Marks, so that it can come back</span><input type="checkbox" name="md_marks"
                @checked($is('md_marks', false))></label>
            <details x-show="isDraft"><summary>What counts as words</summary>
                <label class="choice"><span>Titles</span><input type="checkbox" name="count_titles"
                    @checked($is('count_titles', false))></label>
                <label class="choice"><span>Quotations</span><input type="checkbox" name="count_quotations"
                    @checked($is('count_quotations'))></label>
                <label class="choice"><span>Footnotes</span><input type="checkbox" name="count_footnotes"
                    @checked($is('count_footnotes', false))></label>
                <label class="choice"><span>References</span><input type="checkbox" name="count_references"
                    @checked($is('count_references', false))></label>
            </details>
            @if ($files !== [])<h2>Files on topics and sources</h2><p
                class="hint">They do not go into the draft. Take with you what is needed:</p><ul
                class="files-listed">@foreach ($files as $file)<li><a class="link"
                href="{{ route('plan.attachment', [$plan, $file['id']]) }}" download>{{ $file['name'] }}</a></li>@endforeach</ul>@endif
            <p class="hint">A document that was handed over and changed elsewhere:
                <a class="link" href="{{ route('way-back', $plan) }}">take its changes in</a>.</p>
            <div class="only-small"><button type="button" class="primary" x-on:click="closeChoices">See the pages</button></div>
        </form>
        <main class="stage" x-ref="stage">
            <h1 class="visually-hidden">Hand over</h1>
            <p class="error" role="alert" x-text="error" x-show="error"></p>
            <div role="region" x-ref="preview" aria-live="polite" aria-label="Preview"></div>
            <div class="go"><span class="hint grow" x-text="said" role="status"></span><progress x-show="isWorking" x-bind:value="worked"
                max="100" aria-label="Making the file"></progress><span class="hint" x-text="busy" role="status"></span>
                <button type="button" class="plain only-small" aria-controls="choices" x-ref="opener" x-bind:aria-expanded="isChoosing"
                    x-on:click="openChoices">Choices</button>
                <button type="button" class="plain" x-show="canCopy" x-on:click="copyText" x-text="copyLabel">Copy the outline</button>
                <a class="plain" x-show="isPaper" x-bind:href="sheets" target="_blank">Print…</a><a class="primary" x-bind:href="address"
                    download x-on:click="leave" x-text="verb">Download the draft</a></div>
        </main>
    </div>
    <dialog x-ref="style" class="wide" aria-labelledby="style-head">
        <form method="dialog" x-on:submit.prevent="saveStyle">
            <h2 id="style-head">How the draft is set</h2>
            <p class="error" role="alert" x-text="styleError" x-show="styleError"></p>
            <div class="style-fields">
                <label class="field"><span>Kept under the name</span><input class="box" x-model="set.name" maxlength="80" required></label>
                <label class="field"><span>Font of the text</span><input class="box" x-model="set.font" list="fonts" maxlength="60"
                    required></label>
                <label class="field"><span>Font of headings</span><input class="box" x-model="set.heading_font" list="fonts" maxlength="60"
                    required></label>
                <label class="field"><span>Size of the text, points</span><input class="box" type="number" min="6" max="36" step="0.5"
                    x-model.number="set.size"></label>
                <label class="field"><span>Level 1, points</span><input class="box" type="number" min="6" max="72" step="0.5"
                    x-model.number="set.h1"></label>
                <label class="field"><span>Level 2, points</span><input class="box" type="number" min="6" max="72" step="0.5"
                    x-model.number="set.h2"></label>
                <label class="field"><span>Level 3 and deeper, points</span><input class="box" type="number" min="6" max="72" step="0.5"
                    x-model.number="set.h3"></label>
                <label class="field"><span>Line spacing</span><input class="box" type="number" min="0.8" max="3" step="0.05"
                    x-model.number="set.line"></label>
                <label class="field"><span>After a paragraph, points</span><input class="box" type="number" min="0" max="72" step="1"
                    x-model.number="set.gap"></label>
                <label class="field"><span>First line set in, mm</span><input class="box" type="number" min="0" max="60" step="0.1"
                    x-model.number="set.first_line"></label>
                <label class="field"><span>Paper</span><select class="box" x-model="set.paper"><option
                    value="">As the plan has it</option>@foreach (['a4' => 'A4', 'a5' => 'A5', 'letter' => 'Letter',
                    'legal' => 'Legal'] as $value => $name)<option value="{{ $value }}">{{ $name }}</option>@endforeach</select></label>
                <fieldset class="field four"><legend>Margins, mm: top, right, bottom,
                    left</legend>@foreach (['top', 'right', 'bottom', 'left'] as $side)<input class="box" type="number" min="5" max="80"
                    step="0.1" aria-label="Margin, {{ $side }}" x-model.number="set.{{ $side }}">@endforeach</fieldset>
                @foreach (['header' => 'Head of the pages', 'footer' => 'Foot of the pages'] as $line => $label)
                    <fieldset class="field three"><legend>{{ $label }}: left, centre,
                        right</legend>@foreach (['left', 'centre', 'right'] as $third)<input class="box" maxlength="200"
                        aria-label="{{ $label }}, {{ $third }}" x-model="set.{{ $line }}_{{ $third }}">@endforeach</fieldset>
                @endforeach
            </div>
            <p class="hint">At head and foot stand words of your own, and {title}, {author}, {section}, {page}, {pages}, {date}, {subject}
                or {logo}.</p>
            <label class="choice"><span>Logo, for {logo}</span><span class="row-acts"><span x-text="logoLabel"></span>
                <button type="button" class="link" x-on:click="pickLogo">Choose a picture…</button></span></label>
            <label class="choice"><span>A page of its own for the title</span><input type="checkbox" x-model="set.has_title_page"></label>
            <label class="choice"><span>Title in the middle</span><input type="checkbox" x-model="set.is_title_centred"></label>
            <fieldset class="choice"><legend class="visually-hidden">Under the title</legend><span
                aria-hidden="true">Under the title</span><span
                class="row-acts">@foreach (['subtitle' => 'Subtitle', 'author' => 'Author', 'subject' => 'Subject', 'words' => 'Words',
                'date' => 'Date'] as $value => $name)<label class="tick"><input type="checkbox" value="{{ $value }}"
                x-model="set.title_fields"> {{ $name }}</label>@endforeach</span></fieldset>
            <label class="choice"><span>Each main section begins a page</span><input type="checkbox" x-model="set.breaks"></label>
            <label class="choice"><span>Lines of equal length</span><input type="checkbox" x-model="set.is_justified"></label>
            <label class="choice"><span>Headings in the colours of their sections</span><input type="checkbox"
                x-model="set.is_dyed"></label>
            <div class="dialog-foot"><button class="plain danger" type="button" x-show="isOwnStyle"
                x-on:click="removeStyle">Remove this style</button><button class="plain" type="button"
                x-on:click="closeStyle">Cancel</button><button class="primary">Keep and use</button></div>
        </form>
        <datalist id="fonts">@foreach (['Literata', 'Atkinson Hyperlegible Next', 'Georgia', 'Times New Roman', 'Garamond', 'Cambria',
            'Arial', 'Calibri', 'Verdana', 'Courier New'] as $font)<option value="{{ $font }}"></option>@endforeach</datalist>
    </dialog>
    <dialog x-ref="templateTable" class="wide" aria-labelledby="template-head">
        <form method="dialog" x-on:submit.prevent="saveTemplate">
            <h2 id="template-head">Which style of the template for what</h2>
            <p class="hint">Guessed from outline levels and names. What the template lacks comes with the draft; what it has stays as it
                is.</p>
            <template x-for="row in rows" x-bind:key="row.style"><label class="choice"><span x-text="row.label"></span><select
                x-model="row.takes"><option value="">Embrel’s own</option><template x-for="known in knownStyles"
                x-bind:key="known.id"><option x-bind:value="known.id" x-text="known.name"
                x-bind:selected="isTaken(row, known)"></option></template></select></label></template>
            <div class="dialog-foot"><button class="plain danger" type="button"
                x-on:click="removeTemplate">Remove the template</button><button class="plain" type="button"
                x-on:click="closeTemplate">Cancel</button><button class="primary">Use these</button></div>
        </form>
    </dialog>
    <input type="file" class="visually-hidden" x-ref="templateFile" tabindex="-1" aria-hidden="true" accept=".docx,.dotx,.docm,.odt,.ott"
        x-on:change="uploadTemplate">
    <input type="file" class="visually-hidden" x-ref="logoFile" tabindex="-1" aria-hidden="true"
        accept="image/png,image/jpeg,image/webp,image/gif" x-on:change="uploadLogo">
</x-plan-frame>
