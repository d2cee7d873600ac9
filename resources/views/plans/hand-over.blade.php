@use('Illuminate\Support\Str')
@php
    $is = static fn(string $name, bool $default = true): bool => isset($kept[$name]) ? filter_var($kept[$name], FILTER_VALIDATE_BOOLEAN) : $default;
    $one = static fn(string $name, string|int $default): string => is_scalar($kept[$name] ?? null) ? (string) $kept[$name] : (string) $default;
    $levels = array_combine(range(1, 9), array_map(static fn(int $level): string => "Level $level", range(1, 9)));
    $parts = ['' => 'The whole plan', ...array_map(static fn(string $name): string => Str::limit($name, 60), array_column($branches, 'name', 'id'))];
    $mapStyles = array_map(
        static fn(\Embrel\Layout\Map\Style $style): string => Str::before($style->name(), ':'),
        array_column(\Embrel\Layout\Map\Style::cases(), null, 'value'),
    ) + array_map(static fn(\Embrel\Layout\Map\Dress $dress): string => $dress->name, $ownMapStyles);
@endphp
<x-plan-frame :plan="$plan" current="hand-over" :title="'Hand over: ' . $plan->title . ' – Embrel'" class="beside" x-data="handOver"
    data-address="{{ route('hand-over', $plan) }}" data-format="{{ $chosen }}" data-features="{{ json_encode(\Embrel\Writer\Format::features()) }}"
    data-name="{{ \App\Store\WorkFolder::fileName($plan->title) }}">
    <div class="settle">
        <form class="choices opens" id="choices" method="dialog" autocomplete="off" aria-label="Choices" x-bind:class="{ 'is-open': isChoosing }"
            x-on:keydown.escape="closeChoices">
            <h2 id="format-head">Format</h2>
            <div class="formats" role="radiogroup" aria-labelledby="format-head">
                @foreach (\Embrel\Writer\Format::offered() as $format)
                    <label><input type="radio" name="format" value="{{ $format->value }}" x-model="format"
                        @checked($format->value === $chosen)>{{ $format->label() }} <small>{{ $format->extension() }}</small></label>
                @endforeach
            </div>
            <h2>What goes in</h2>
            <x-choose label="From" name="from" :of="$parts" :chosen="$from" />
            <x-choose label="Headings down to" name="heading_depth" :of="$levels" :chosen="$one('heading_depth', 3)" when="isDraft" />
            <x-tick label="As I see it now, with what is folded" name="seen" :on="$seen" when="isMap" />
            <x-tick label="Notes under their topics" name="text_notes" :on="$is('text_notes', false)" when="isNumberedOutline" />
            <x-choose label="Sections one by one" name="slide_levels" :of="$levels" :chosen="$one('slide_levels', $show->levels)"
                when="isSlides" />
            <x-choose label="A slide" name="slide_each" :of="['0' => 'For each section', '1' => 'For each line that appears']"
                :chosen="$one('slide_each', '0')" when="isSlides && !isAlone" />
            <x-choose label="On a sheet" name="slide_sheet" :of="[2 => 'Two slides', 4 => 'Four slides', 6 => 'Six slides']"
                :chosen="$one('slide_sheet', 4)" when="isHandout" />
            <p class="hint" x-show="isSlides">What is left out or shown whole is as you chose it in <a class="link"
                href="{{ route('plan.present', $plan) }}">Present</a>.</p>
            <x-tick label="Notes" name="notes" :on="$is('notes')" when="hasNotes" />
            <x-tick label="Pictures" name="pictures" :on="$is('pictures')" when="isDraft || isAlone" />
            <x-tick label="Quotes" name="quotes" :on="$is('quotes')" when="isDraft" />
            <x-choose label="Points" name="points" :of="['list' => 'As list items', 'text' => 'As paragraphs', 'out' => 'Left out']"
                :chosen="$one('points', 'list')" when="isDraft" />
            <x-choose label="Asides" name="asides" :of="['out' => 'Left out', 'text' => 'As paragraphs']"
                :chosen="$one('asides', 'out')" when="isDraft" />
            <x-tick label="Sections without text" name="empty" :on="$is('empty')" when="isDraft" />
            <x-tick label="Signs, after titles" name="signs" :on="$is('signs', false)" when="isDraft" />
            <x-tick label="Relations, as “See also”" name="see_also" :on="$is('see_also', false)" when="isDraft" />
            <x-tick label="List of references" name="sources" :on="$is('sources')" when="isDraft" />
            <x-tick label="Also sources that are never cited" name="all_sources" :on="$is('all_sources', false)" when="isDraft || isText" />
            <x-tick label="Citations as fields, which other programs read" name="citation_fields" :on="$is('citation_fields', false)"
                when="isTemplated" />
            <x-tick label="Notes for other programs too" name="other_notes" :on="$is('other_notes')" when="isOpml" />
            <x-tick label="Loose ideas, at the end" name="loose" :on="$is('loose', false)" when="isText || isOpml" />
            <h2 x-show="isMap || isAlone">How it is drawn</h2>
            <x-choose label="Arrangement" name="arrangement" :of="['spine' => 'Spine', 'both' => 'Both sides', 'round' => 'Round']"
                :chosen="$look->arrangement->value" when="isMap" />
            <x-choose label="Style" name="style" :of="$mapStyles" :chosen="$look->ownId ?: $look->style->value" when="isMap || isAlone" />
            <x-tick label="White ground" name="ground" :on="$is('ground')" when="isMap && !isPaper" />
            <x-choose label="File" :of="['svg' => 'SVG, text as text', 'fonts' => 'SVG with its fonts', '1' => 'PNG', '2' => 'PNG, twice as large',
                '3' => 'PNG, three times as large', '4' => 'PNG, four times as large', 'jpeg' => 'JPEG', 'webp' => 'WebP']" when="isMap && !isPaper" x-model="kind" />
            <x-choose label="Paper" name="paper"
                :of="['a4' => 'A4', 'a3' => 'A3', 'a2' => 'A2', 'letter' => 'Letter', 'tabloid' => 'Tabloid']"
                :chosen="$properties->pageSize" when="isPaper" />
            <x-tick label="Across several sheets, in its own size" name="several" when="isPaper" />
            <h2 x-show="!isOpml">How it reads</h2>
            <x-choose label="Numbering" name="numbering"
                :of="['decimal' => '1 · 1.1 · 1.1.1', 'essay' => 'I. · A. · 1. · a.', 'chapter' => 'Chapter 1 · 1.1', 'none' => 'No numbers']
                    + ($properties->numberForms === [] ? [] : ['own' => 'Of your own'])"
                :chosen="$one('numbering', $properties->scheme->value)" when="!isOpml" />
            <x-choose label="Number down to" name="number_depth" :of="$levels" :chosen="$one('number_depth', $properties->depth)"
                when="!isOpml" />
            <p class="hint" x-show="!isOpml">Changed here, numbering holds for this hand-over only. The plan keeps its own.</p>
            <p class="hint" x-show="isDraft">Citations are printed as {{ $properties->citationStyle->label() }}; the plan’s properties
                change that.</p>
            <x-choose label="Lists set in down to" name="indent_depth" :of="$levels" :chosen="$one('indent_depth', 9)" when="isDraft" />
            <x-tick label="Contents page" name="contents" :on="$is('contents')" when="hasContents" />
            <x-choose label="Contents down to" name="contents_depth" :of="$levels" :chosen="$one('contents_depth', 3)" when="hasContents" />
            <x-tick label="List of figures" name="figures" :on="$is('figures', false)" when="hasContents" />
            @if ($properties->terms !== [])
                <x-tick label="Glossary" name="glossary" :on="$is('glossary', false)" when="isDraft" />
                <x-tick label="Index" name="index" :on="$is('index', false)" when="isDraft" />
            @endif
            @if ($wasHelped)
                <x-tick label="A line that says that a helper was used" name="helped" :on="$is('helped', false)" when="isDraft" />
            @endif
            <x-choose label="Style" name="draft_style" :of="array_map(fn ($style) => $style['name'], $styles)"
                :chosen="$one('draft_style', 'report')" when="isStyled" x-model="draftStyle" />
            <p class="row-acts" x-show="isStyled"><button type="button" class="link" x-on:click="editStyle">Change this style…</button></p>
            <label class="choice" x-show="isTemplated">
                <span>Template of your own</span>
                <select name="template" x-model="template">
                    <option value="">None</option>
                    @foreach ($templates as $id => $template)
                        <option value="{{ $id }}" data-kind="{{ $template['kind'] }}" @selected((string) $id === $one('template', ''))>
                            {{ Str::limit($template['name'], 40) }}
                        </option>
                    @endforeach
                </select>
            </label>
            <p class="row-acts" x-show="isTemplated"><button type="button" class="link"
                x-on:click="pickTemplate">Upload a document…</button> <button type="button" class="link" x-show="template"
                x-on:click="editTemplate">Which style for what…</button></p>
            <p class="hint" x-show="isOtherTemplate">This template is a document of another kind: its fonts, sizes, spacing, page, head and
                foot are taken on, and the rest of its styles when you hand over in its own.</p>
            <x-tick label="Open comments, beside the text" name="comments" :on="$is('comments', false)" when="isTemplated" />
            <x-choose label="Fonts in the file" name="carried_fonts" :of="['cut' => 'The letters it uses', 'whole' => 'All letters', 'none' => 'None']"
                :chosen="$one('carried_fonts', 'cut')" when="isTemplated && format !== 'pdf' && !template" />
            <x-tick label="Marks, so that it can come back" name="marks" :on="$is('marks')" when="isMarkable" />
            <x-tick label="Marks, so that it can come back" name="md_marks" :on="$is('md_marks', false)" when="isMarkdown" />
            <details x-show="isDraft"><summary>What counts as words</summary>
                <x-tick label="Titles" name="count_titles" :on="$is('count_titles', false)" />
                <x-tick label="Quotations" name="count_quotations" :on="$is('count_quotations')" />
                <x-tick label="Footnotes" name="count_footnotes" :on="$is('count_footnotes', false)" />
                <x-tick label="References" name="count_references" :on="$is('count_references', false)" />
            </details>
            @if ($files !== [])<h2>Files on topics and sources</h2><p
                class="hint">They do not go into the draft. Take with you what is needed:</p><ul
                class="files-listed">@foreach ($files as $file)<li><a class="link"
                href="{{ route('plan.attachment', [$plan, $file['id']]) }}" download>{{ $file['name'] }}</a></li>@endforeach</ul>@endif
            @can('update', $plan)<p class="hint">A document that was handed over and changed elsewhere:
                <a class="link" href="{{ route('way-back', $plan) }}">take its changes in</a>.</p>@endcan
            <div class="only-small"><button type="button" class="primary" x-on:click="closeChoices">See the pages</button></div>
        </form>
        <main class="stage" x-ref="stage">
            <h1 class="visually-hidden">Hand over</h1>
            <p class="error" role="alert" x-text="error" x-show="error"></p>
            <div role="region" x-ref="preview" aria-live="polite" aria-label="Preview"></div>
            <div class="go">@if ($serious > 0)<a class="link serious" href="{{ route('plan.check', $plan) }}">{{ $serious === 1
                ? '1 serious finding' : number_format($serious) . ' serious findings' }}</a>@endif<span
                class="hint grow" x-text="said" role="status"></span><progress x-show="isWorking" x-bind:value="worked"
                max="100" aria-label="Making the file"></progress><span class="hint" x-text="busy" role="status"></span>
                <button type="button" class="plain only-small" aria-controls="choices" x-ref="opener" x-bind:aria-expanded="isChoosing"
                    x-on:click="openChoices">Choices</button>
                <button type="button" class="plain" x-show="canCopy" x-on:click="copyText" x-text="copyLabel">Copy the outline</button>
                <button type="button" class="plain" x-on:click="openSending">Send by mail…</button>
                <a class="plain" x-show="isPrinted" x-bind:href="sheets" target="_blank">Print…</a><a class="primary" x-bind:href="address"
                    download x-on:click="leave" x-text="verb">Download the draft</a></div>
        </main>
    </div>
    <dialog x-ref="sending" aria-labelledby="sending-head">
        <form method="dialog" x-on:submit.prevent="send">
            <h2 id="sending-head">Send by mail</h2>
            <label class="field"><span>To, with commas or spaces between addresses</span><textarea class="box" rows="2" maxlength="4000"
                x-model="mail.addresses" required></textarea></label>
            <label class="field mt-3"><span>A line of your own</span><textarea class="box" rows="3" maxlength="1000" x-model="mail.line"></textarea></label>
            <fieldset class="mt-3"><legend class="visually-hidden">How</legend>
                <label class="check"><input type="radio" name="mail-how" value="file" x-model="mail.how"> the file itself, up to 10 MB</label>
                <label class="check"><input type="radio" name="mail-how" value="link" x-model="mail.how"> a link that ends after
                    <input type="number" class="box days" min="1" max="{{ \App\Store\Sendings::DAYS }}" x-model.number="mail.days" aria-label="Days"> days</label>
            </fieldset>
            <p class="error" role="alert" x-text="mailError" x-show="mailError"></p>
            <div class="dialog-foot"><button class="plain" type="button" x-on:click="closeSending">Close</button><button
                class="primary">Send</button></div>
            <section x-show="sendings.length" class="mt-3" aria-label="Sent so far"><h3>Sent so far</h3><ul class="sendings">
                <template x-for="one in sendings" x-bind:key="one.id"><li><span><b x-text="one.to"></b> <span x-text="told(one)"></span>
                    <em class="error" x-show="one.says" x-text="one.says"></em></span><button type="button" class="link"
                    x-on:click="forget(one)" x-text="one.ends ? 'End the link' : 'Forget'"></button></li></template></ul></section>
        </form>
    </dialog>
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
            <label class="choice"><span>Words divided at the ends of lines</span><input type="checkbox" x-model="set.is_hyphenated"></label>
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
