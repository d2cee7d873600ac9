<?php

declare(strict_types=1);

return [
    // For one account; one machine may try six times as often.
    'sign_ins_a_minute' => (int) env('EMBREL_SIGN_INS_A_MINUTE', 10),
    // Who may make an account: anybody (`open`), whoever is asked into a plan (`invited`), or nobody but by the organisation (`closed`).
    'sign_up' => (string) env('EMBREL_SIGN_UP', 'open'),
    // An organisation by whose accounts people sign in (OpenID Connect): the address that it calls itself, what we are called there, and
    // what the button says.
    'organisation' => [
        'issuer' => rtrim((string) env('EMBREL_ORGANISATION', ''), '/'),
        'client' => (string) env('EMBREL_ORGANISATION_CLIENT', ''),
        'secret' => App\Hosts\Secret::of('EMBREL_ORGANISATION_SECRET'),
        'name' => (string) env('EMBREL_ORGANISATION_NAME', 'your organisation'),
    ],
    // What an account may keep: bytes of pictures and files in the plans that it owns, and plans; 0: as much as there is room for.
    'quota' => ['bytes' => (int) env('EMBREL_QUOTA_MB', 0) * 1024 * 1024, 'plans' => (int) env('EMBREL_QUOTA_PLANS', 0)],
    // Where addresses of the web are looked up: `stand-in`, a small server of made-up pages on this machine, or `web`.
    'page_reader' => env('EMBREL_PAGE_READER', 'stand-in'),
    // A service of pictures: its address; as a rule the stand-in's two dozen.
    'pictures' => rtrim((string) env('EMBREL_PICTURES', ''), '/'),
    // Where works are looked up by their numbers: an address for each kind, in which {number} stands for it; none: the stand-in.
    'works' => [
        'doi' => (string) env('EMBREL_WORKS_DOI', ''),
        'isbn' => (string) env('EMBREL_WORKS_ISBN', ''),
        'arxiv' => (string) env('EMBREL_WORKS_ARXIV', ''),
        'pubmed' => (string) env('EMBREL_WORKS_PUBMED', ''),
    ],
    // A server of language models that answers chat completions: used where both its address (without `/chat/completions`) and a key are
    // set; else the stand-in on this machine. Each person may ask so often a day; an answer may take so many seconds, of which so many
    // in silence.
    'companion' => [
        'address' => rtrim((string) env('EMBREL_COMPANION', ''), '/'),
        'key' => App\Hosts\Secret::of('EMBREL_COMPANION_KEY'),
        'model' => (string) env('EMBREL_COMPANION_MODEL', 'default'),
        'a_day' => (int) env('EMBREL_COMPANION_A_DAY', 50),
        'seconds' => (float) env('EMBREL_COMPANION_SECONDS', 60),
        'silence' => (float) env('EMBREL_COMPANION_SILENCE', 20),
    ],
    'stand_in_port' => (int) env('EMBREL_STAND_IN_PORT', 8079),
    // Servers in front of this one whose word on who asks is taken: their addresses, with commas between them; none as a rule.
    'proxies' => array_values(array_filter(array_map(trim(...), explode(',', (string) env('EMBREL_PROXIES', ''))))),
    // A style of citations that somebody brought may take so many seconds of work on a page, and so much memory, in MB.
    'style' => ['seconds' => (float) env('EMBREL_STYLE_SECONDS', 10), 'memory' => (int) env('EMBREL_STYLE_MEMORY', 192)],
    // From where `/ready` and `/metrics` may be asked beside this machine: addresses and networks, with commas between them.
    'inside' => array_values(array_filter(array_map(trim(...), explode(',', (string) env('EMBREL_INSIDE', ''))))),
    // Where pages hear at once what others change (artisan embrel:stream): its address as a browser sees it, and where it listens. Without
    // an address pages ask every few seconds.
    'stream_url' => rtrim((string) env('EMBREL_STREAM_URL', ''), '/'),
    'stream_listen' => (string) env('EMBREL_STREAM_LISTEN', '127.0.0.1:8081'),
    // Whether hosts tell each other by Redis what has changed: so where they share one.
    'stream_over_redis' => (bool) env('EMBREL_STREAM_OVER_REDIS', env('CACHE_STORE') === 'redis'),
    // What a letter carries; a larger file waits behind a link.
    'letter_bytes' => 10 * 1024 * 1024,
    'days_kept_after_deleting' => 30,
    'sample_email' => 'sample@embrel.example',
];
