@props(['link', 'end', 'topic', 'on', 'comments', 'name'])
@if ($comments !== [])
    <ul class="read-comments" aria-label="Comments on {{ $on }}">
        @foreach ($comments as $one)
            <li @class(['is-answer' => $one->thread_id !== null])><b>{{ $one->name }}</b>
                <small>{{ $one->created_at->format('j F, H:i') }}</small>
                @if ($one->anchor !== null)<q>{{ \Illuminate\Support\Str::limit(mb_substr($one->anchor['text'], $one->anchor['from'],
                    $one->anchor['length']), 120) }}</q>@endif
                <p>{!! nl2br(e($one->body)) !!}</p></li>
        @endforeach
    </ul>
@endif
@if ($link->role->mayComment())
    <details class="read-say"><summary aria-label="Comment on {{ $on }}">Comment</summary>
        <form method="post" action="{{ route('read.comments', $end) }}">@csrf<input type="hidden" name="topic" value="{{ $topic }}"><label
            class="field"><span>Your name</span><input name="name" maxlength="120" value="{{ $name }}" autocomplete="name"
            required></label><label class="field"><span>What you want to say</span><textarea class="box" name="body" rows="3"
            maxlength="{{ \Embrel\Limits::COMMENT }}" required></textarea></label><button class="primary">Send</button></form></details>
@endif
