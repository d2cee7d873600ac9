<x-layouts.app title="Take in – Embrel">
    <x-list-head/>
    <div class="settle intake" x-data="intake" data-into="{{ $into }}" data-under="{{ $under }}" data-waits="{{ $waits }}"
        x-on:dragover.window.prevent="over" x-on:drop.window.prevent="drop">
        <form class="choices" method="dialog" aria-label="Choices" x-on:submit.prevent="take">
            <h1 class="font-text text-xl font-semibold mb-3">Take in text or a file</h1>
            <label class="drop" x-bind:class="{ 'is-over': isOver }" x-on:dragleave="out">
                <strong x-text="dropLabel">Choose files, or drop them here</strong><br><small>Documents (docx, odt), web pages, Markdown,
                    outline files (opml), indented text, tables (csv)</small>
                <input type="file" class="visually-hidden" aria-label="File" multiple accept="{{ $extensions }}" x-on:change="pick">
            </label>
            <p class="mt-2" x-show="isFile" x-cloak><button type="button" class="link"
                x-on:click="clearFile">Paste text instead</button></p>
            <label class="field mt-3" x-show="isPasted"><span>Or paste text: a line a topic, indented where it goes deeper</span><textarea rows="9" x-model="text" spellcheck="false" style="tab-size:4"></textarea></label>
            <div x-show="isOne">
                <h2 class="mt-4">How to read it</h2>
                <label class="choice"><span>Title of the plan</span><input class="box" x-model="title" maxlength="1000"
                    placeholder="From the file"></label>
                <label class="choice" x-show="isGenerated" x-cloak><span>As it stands, with all that is around the outline</span><input
                    type="checkbox" x-model="asWritten"></label>
                <label class="choice" x-show="isPasted"><span>It is Markdown</span><input type="checkbox" x-model="markdown"></label>
                <label class="choice"><span>Notes too, not the titles alone</span><input type="checkbox" x-model="notes"></label>
                <label class="choice" x-show="isDocument"><span>Lists become points</span><input type="checkbox" x-model="lists"></label>
                <label class="choice" x-show="hasBoldLines"><span>Bold lines are headings
                    <small class="hint" x-text="boldLabel"></small></span><input type="checkbox" x-model="boldLines"></label>
                <label class="choice"><span>The first heading is the title</span><input type="checkbox" x-model="firstIsTitle"></label>
                <label class="choice"><span>Topics down to</span><select x-model="depth"><option
                    value="60">All levels</option>@for ($i = 1; $i <= 9; $i++)<option
                    value="{{ $i }}">Level {{ $i }}</option>@endfor</select></label>
                <label class="choice" x-show="isOpml"><span>Descriptions become notes</span><input type="checkbox"
                    x-model="descriptions"></label>
                <label class="choice"><span>Take typed numbers off the titles</span><input type="checkbox" x-model="stripNumbers"></label>
            </div>
            <label class="choice" x-show="isOne"><span>Into</span><select x-model="into"><option
                value="">A new plan</option>@foreach ($plans as $id => $title)<option
                value="{{ $id }}">{{ \Illuminate\Support\Str::limit($title, 60) }}</option>@endforeach</select></label>
            <label class="choice" x-show="into"><span>Where in it</span><select x-model="under"><option
                value="">At its end, under the file’s name</option><option
                value="{{ \Embrel\Plan\Plan::ROOT }}">At its end, as it is</option><template x-for="place in places"
                x-bind:key="place.id"><option x-bind:value="place.id" x-text="place.name"></option></template></select></label>
            <div class="dialog-foot" x-show="isOne"><a class="plain" href="{{ route('plans') }}">Cancel</a><button class="primary"
                x-bind:disabled="!canTake" x-text="takeLabel">Take it as a new plan</button></div>
        </form>
        <main class="stage">
            <p class="said error" role="alert" x-show="error" x-cloak x-text="error"></p>
            <div class="working" x-show="isWorking" x-cloak role="status"><span x-text="works"></span><progress max="100"
                x-bind:value="worked" aria-label="Progress"></progress></div>
            <p class="nothing" x-show="isIdle">The tree that it makes is shown here before anything is kept.</p>
            <section class="max-w-3xl mx-auto" x-show="isSeveral" x-cloak aria-label="Files">
                <h2 class="font-text text-xl font-semibold mb-3">Each of these becomes a plan</h2>
                <ul class="several"><template x-for="one in several" x-bind:key="one.key"><li x-bind:class="one.state"><span class="grow"
                    x-text="one.name"></span><em x-text="one.says"></em><a class="link" x-show="one.address"
                    x-bind:href="one.address">Open</a></li></template></ul>
            </section>
            <template x-if="seen">
                <section class="max-w-3xl mx-auto" aria-label="The tree that it makes">
                    <h2 class="font-text text-xl font-semibold" x-text="seen.title"></h2>
                    <p class="hint mb-3" x-text="summary"></p>
                    <ul class="said mb-3" style="display:block" x-show="repairs.length">
                        <template x-for="repair in repairs" x-bind:key="repair"><li x-text="repair"></li></template>
                    </ul>
                    <div class="said mb-3" style="display:block" x-show="hasLeftOut">
                        <template x-for="one in leftOut" x-bind:key="one.key"><details><summary x-text="one.says"></summary><p
                            class="left-out" x-text="one.text"></p></details></template>
                        <label class="choice"><span>Take in what was left out, too</span><input type="checkbox"
                            x-model="keepsLeftOut"></label>
                    </div>
                    <ul class="seen-tree"><li class="hint" x-show="opening" x-text="opening"></li><template x-for="row in rows"
                        x-bind:key="row.key"><li x-bind:class="row.kind" x-bind:style="row.style"><span x-text="row.name"></span><em
                        x-text="row.note"></em></li></template><li class="hint" x-show="rest" x-text="rest"></li></ul>
                </section>
            </template>
        </main>
    </div>
</x-layouts.app>
