<x-layouts.app title="Take in – Embrel">
    <x-list-head/>
    <div class="settle intake" x-data="intake" data-into="{{ $into }}">
        <form class="choices" aria-label="Choices" x-on:submit.prevent="take">
            <h1 class="font-text text-xl font-semibold mb-3">Take in text or a file</h1>
            <label class="drop" x-bind:class="{ 'is-over': isOver }" x-on:dragover.prevent="over" x-on:dragleave="out" x-on:drop.prevent="drop">
                <strong x-text="dropLabel">Choose a file, or drop one here</strong><br><small>Outline file (opml), indented text (txt) or Markdown (md)</small>
                <input type="file" class="visually-hidden" aria-label="File" accept=".opml,.xml,.txt,.text,.md,.markdown" x-on:change="pick">
            </label>
            <p class="mt-2" x-show="file" x-cloak><button type="button" class="link" x-on:click="clearFile">Paste text instead</button></p>
            <label class="field mt-3" x-show="isPasted"><span>Or paste text: a line a topic, indented where it goes deeper</span><textarea rows="9" x-model="text" spellcheck="false" style="tab-size:4"></textarea></label>
            <h2>How to read it</h2>
            <label class="choice"><span>Title of the plan</span><input class="box" x-model="title" maxlength="1000" placeholder="From the file"></label>
            <label class="choice" x-show="isPasted"><span>It is Markdown</span><input type="checkbox" x-model="markdown"></label>
            <label class="choice" x-show="isMarkdown"><span>Lists become topics too</span><input type="checkbox" x-model="lists"></label>
            <label class="choice" x-show="isOpml"><span>Descriptions become notes</span><input type="checkbox" x-model="descriptions"></label>
            <label class="choice"><span>Take typed numbers off the titles</span><input type="checkbox" x-model="stripNumbers"></label>
            <label class="choice"><span>Into</span><select x-model="into"><option value="">A new plan</option>@foreach ($plans as $id => $title)<option value="{{ $id }}">{{ \Illuminate\Support\Str::limit($title, 60) }}</option>@endforeach</select></label>
            <div class="dialog-foot"><a class="plain" href="{{ route('plans') }}">Cancel</a><button class="primary" x-bind:disabled="!canTake" x-text="takeLabel">Take it as a new plan</button></div>
        </form>
        <main class="stage">
            <p class="said error" role="alert" x-show="error" x-cloak x-text="error"></p>
            <p class="nothing" x-show="!seen">The tree that it makes is shown here before anything is kept.</p>
            <template x-if="seen">
                <section class="max-w-3xl mx-auto" aria-label="The tree that it makes">
                    <h2 class="font-text text-xl font-semibold" x-text="seen.title"></h2>
                    <p class="hint mb-3" x-text="summary"></p>
                    <ul class="said mb-3" style="display:block" x-show="repairs.length">
                        <template x-for="repair in repairs" x-bind:key="repair"><li x-text="repair"></li></template>
                    </ul>
                    <ul class="seen-tree"><template x-for="row in rows" x-bind:key="row.key"><li x-bind:class="row.kind" x-bind:style="row.style"><span x-text="row.name"></span><em x-text="row.note"></em></li></template><li class="hint" x-show="rest" x-text="rest"></li></ul>
                </section>
            </template>
        </main>
    </div>
</x-layouts.app>
