<?php

declare(strict_types=1);

return [
    [
        'title' => 'Bringing Back the Tide',
        'file' => 'tide.md',
        'hours_ago' => 0,
        'properties' => [
            'subtitle' => 'Restoring the salt marsh at Harrow Creek',
            'author' => 'Ada Marsh',
            'form' => 'report',
            'subject' => 'Coastal ecology',
            'target' => 3600,
            'due' => '+21 days',
        ],
        'targets' => [500, 600, 1100, 700, 400, 300],
        'pictures' => [
            'Choosing the breach sites' => [
                'file' => 'creek.png',
                'behind' => 1,
                'caption' => 'The creek and its walls, with the two places where the bank would be opened',
                'alt'
                    => 'A map: the wall of 1887 runs straight across the bed of the old creek; a first breach where it crosses the creek, '
                        . 'a second at the creek by Teal End that still floods, and a new bank around the land between them.',
            ],
            'Plants of the upper marsh' => [
                'file' => 'marsh.png',
                'behind' => 1,
                'caption' => 'A section through the marsh at spring tide',
                'alt'
                    => 'From the sea to the wall the ground rises from mudflat through lower and middle to upper marsh; the spring tide '
                        . 'stands at the foot of the wall, mean high water covers the lower marsh.',
            ],
        ],
        'hand_over' => ['figures' => '1'],
        'topics' => [
            'Pell on siltation rates' => ['kind' => 'quote'],
            'Ask Pell for the 1994 field books' => ['kind' => 'aside', 'flag' => 'waiting'],
            'How fast will the mud rise?' => ['flag' => 'question'],
            'The 1887 embankment' => ['target' => 200, 'flag' => 'key', 'labels' => ['archive']],
            'Plants of the upper marsh' => ['labels' => ['field']],
            'Wading birds' => ['labels' => ['field']],
            'Costs against holding the line' => ['target' => 250, 'flag' => 'next'],
        ],
        'sources' => [
            'pell' => [
                'kind' => 'book',
                'title' => 'Tides and Walls: A History of the Harrow Embankment',
                'authors' => [['family' => 'Pell', 'given' => 'Anna']],
                'date' => '1994',
                'publisher' => 'Creekside Press',
                'place' => 'Harrow',
                'edition' => '2',
                'capitals' => 'Harrow',
            ],
            'silt' => [
                'kind' => 'article',
                'title' => 'Silt on the Move: Ten Winters at a Breach',
                'authors' => [['family' => 'Brent', 'given' => 'Tom'], ['family' => 'Moor', 'given' => 'Ada']],
                'date' => '2018-11',
                'container' => 'Tidal Notes',
                'volume' => '23',
                'issue' => '2',
                'pages' => '121-135',
                'doi' => '10.5555/tn.2018.23',
            ],
            'options' => [
                'kind' => 'report',
                'title' => 'Options for the Creek: Hold, Move or Breach',
                'authors' => [['family' => 'Shore Office']],
                'date' => '2019',
                'publisher' => 'Shore Office',
                'url' => 'https://shore.example/options',
            ],
            'ward' => [
                'kind' => 'book',
                'title' => 'The Creek Book',
                'authors' => [['family' => 'Ward', 'given' => 'Eli']],
                'date' => '1887~',
                'place' => 'Marl',
                'publisher' => 'Printed for the author',
            ],
            'mercury' => [
                'kind' => 'newspaper',
                'title' => 'The Night the Wall Broke',
                'date' => '2003-02-01',
                'container' => 'Harrow Mercury',
                'pages' => '4',
                'url' => 'https://mercury.example/night-the-wall-broke',
            ],
        ],
        'loose' => [
            'Oyster layings: who held the leases?',
            'A map of the old creeks',
            'Interview the sluice keeper',
            'Does the footpath flood at springs?',
            'Photographs from the 1953 surge',
            'What does the grazier want?',
            'Samphire as a crop again',
        ],
    ],
    [
        'title' => 'Should Our Town Keep Its Night Bus?',
        'file' => 'night-bus.md',
        'hours_ago' => 26,
        'properties' => [
            'author' => 'Ada Marsh',
            'form' => 'essay',
            'subject' => 'Town and transport',
            'target' => 1200,
            'due' => '+9 days',
            'numbering' => 'essay',
        ],
        'targets' => [150, 300, 300, 300, 150],
        'loose' => ['Count the passengers at the hospital stop'],
    ],
    [
        'title' => 'A Year at the Bell Foundry',
        'file' => 'bell-foundry.txt',
        'hours_ago' => 80,
        'properties' => [
            'subtitle' => 'Twelve months among the casters of Orrin Lane',
            'author' => 'Ada Marsh',
            'form' => 'book',
            'subject' => 'The bell book',
            'target' => 60000,
            'numbering' => 'chapter',
            'numbering_depth' => 2,
        ],
        'targets' => array_fill(0, 12, 5000),
        'loose' => ['The apprentice who heard colours', 'Recipes for loam', 'A bell that came back'],
    ],
    [
        'title' => 'Saltmarsh Plants',
        'file' => 'plants.md',
        'hours_ago' => 900,
        'properties' => ['author' => 'Ada Marsh', 'form' => 'notes', 'subject' => 'Coastal ecology', 'numbering' => 'none'],
    ],
];
