<?php

declare(strict_types=1);

namespace Embrel\Prompt;

/**
 * The questions, written for this project: to which place of a text each belongs ('' to any), to which forms (none: to
 * all), what a title must have in it, what of a note has answered it already, and its words in English and German, in
 * which {title}, {name}, {year}, {place} and {number} stand for what the title has.
 */
final class Bank
{
    /** id → place, forms, cue, answer, English, German */
    public const ALL = [
        'open-reader' => [
            'opening', [], '', '',
            'What does your reader believe before the first line?',
            'Was glaubt, wer das liest, vor der ersten Zeile?',
        ],
        'open-scene' => [
            'opening', ['essay', 'book', 'article'], '', '',
            'Which one moment could stand at the very beginning?',
            'Welcher eine Augenblick könnte ganz am Anfang stehen?',
        ],
        'open-asked' => [
            'opening', [], '', '',
            'What question does the whole text answer?',
            'Welche Frage beantwortet der ganze Text?',
        ],
        'open-now' => [
            'opening', ['essay', 'report', 'article'], '', '',
            'Why is this worth reading now and not ten years ago?',
            'Warum lohnt es sich, das jetzt zu lesen und nicht vor zehn Jahren?',
        ],
        'open-known' => [
            'opening', ['report', 'thesis'], '', '',
            'What is known already, and by whom was it found out?',
            'Was weiß man schon, und wer hat es herausgefunden?',
        ],
        'open-gap' => [
            'opening', ['thesis'], '', '',
            'What has nobody looked at yet?',
            'Was hat noch niemand untersucht?',
        ],
        'open-bounds' => [
            'opening', ['report', 'thesis'], '', '',
            'What do you leave out on purpose?',
            'Was lassen Sie mit Absicht weg?',
        ],
        'open-words' => [
            'opening', ['report', 'thesis', 'article'], '', '',
            'Which word must be explained before anything else can be understood?',
            'Welches Wort muss erklärt sein, bevor man das Übrige versteht?',
        ],
        'open-you' => [
            'opening', ['essay', 'article'], '', '',
            'What have you to do with this yourself?',
            'Was haben Sie selbst damit zu tun?',
        ],
        'open-order' => [
            'opening', ['report', 'thesis'], '', '',
            'In what order will it be told, and why in that one?',
            'In welcher Reihenfolge wird erzählt, und warum in dieser?',
        ],
        'open-asked-for' => [
            'opening', ['report'], '', '',
            'Who asked for this report, and what do they have to decide?',
            'Wer hat diesen Bericht verlangt, und was ist zu entscheiden?',
        ],
        'open-method' => [
            'opening', ['thesis'], '', '',
            'How did you find out what you found out?',
            'Wie haben Sie herausgefunden, was Sie herausgefunden haben?',
        ],
        'open-promise' => [
            'opening', ['book'], '', '',
            'What does the first page promise that the last one keeps?',
            'Was verspricht die erste Seite, das die letzte hält?',
        ],
        'open-voice' => [
            'opening', ['book'], '', '',
            'Who tells it, and what does that person not know?',
            'Wer erzählt es, und was weiß diese Person nicht?',
        ],
        'open-surprise' => [
            'opening', ['essay', 'article'], '', '',
            'What about it surprised you when you first heard of it?',
            'Was hat Sie daran überrascht, als Sie zuerst davon hörten?',
        ],
        'claim-one' => [
            'claim', [], '', '',
            'What do you say here, in one sentence?',
            'Was sagen Sie hier, in einem Satz?',
        ],
        'claim-true' => [
            'claim', [], '', '',
            'How would one notice that it is not so?',
            'Woran würde man merken, dass es nicht so ist?',
        ],
        'claim-who' => [
            'claim', ['essay', 'report', 'article'], '', '',
            'Who would say the opposite?',
            'Wer würde das Gegenteil sagen?',
        ],
        'claim-new' => [
            'claim', ['report', 'thesis', 'article'], '', '',
            'What of it is your own, and what have others said before?',
            'Was davon ist von Ihnen, und was haben andere schon gesagt?',
        ],
        'claim-scope' => [
            'claim', ['report', 'thesis'], '', '',
            'Is it always so, or only under certain conditions?',
            'Ist das immer so oder nur unter bestimmten Bedingungen?',
        ],
        'claim-follow' => [
            'claim', [], '', '',
            'What follows if it is right?',
            'Was folgt daraus, wenn es stimmt?',
        ],
        'claim-need' => [
            'claim', [], '', '',
            'Why does the text need “{title}”?',
            'Wozu braucht der Text „{title}“?',
        ],
        'claim-before' => [
            'claim', [], '', '',
            'What must a reader know already to understand “{title}”?',
            'Was muss man schon wissen, um „{title}“ zu verstehen?',
        ],
        'claim-part' => [
            'claim', ['report', 'thesis', 'book'], '', '',
            'Which parts has “{title}”, and are they all of one kind?',
            'Welche Teile hat „{title}“, und sind sie von einer Art?',
        ],
        'claim-cost' => [
            'claim', ['report'], '', '',
            'What would it cost, and who would pay?',
            'Was würde es kosten, und wer würde zahlen?',
        ],
        'claim-affected' => [
            'claim', ['essay', 'report'], '', '',
            'Whom does it concern who is not mentioned yet?',
            'Wen betrifft es, der noch nicht vorkommt?',
        ],
        'claim-short' => [
            'claim', [], '', '',
            'What would you say of it to somebody who has only a minute?',
            'Was würden Sie jemandem sagen, der nur eine Minute hat?',
        ],
        'claim-want' => [
            'claim', ['book'], '', '',
            'What does the main character want here, and what stands in the way?',
            'Was will die Hauptfigur hier, und was steht im Weg?',
        ],
        'claim-change' => [
            'claim', ['book'], '', '',
            'What is different at the end of this chapter from its beginning?',
            'Was ist am Ende dieses Kapitels anders als am Anfang?',
        ],
        'claim-hypothesis' => [
            'claim', ['thesis'], '', '',
            'What did you expect, and what came of it?',
            'Was haben Sie erwartet, und was ist daraus geworden?',
        ],
        'reason-why' => [
            'reason', [], '', 'because',
            'Why is that so?',
            'Warum ist das so?',
        ],
        'reason-second' => [
            'reason', [], '', '',
            'Is there a second reason that does not depend on the first?',
            'Gibt es einen zweiten Grund, der nicht vom ersten abhängt?',
        ],
        'reason-strong' => [
            'reason', ['essay', 'report', 'article'], '', '',
            'Which reason would convince somebody who thinks otherwise?',
            'Welcher Grund würde jemanden überzeugen, der anders denkt?',
        ],
        'reason-cause' => [
            'reason', ['report', 'thesis', 'article'], '', '',
            'Is that the cause, or does it only happen at the same time?',
            'Ist das die Ursache, oder geschieht es nur zur selben Zeit?',
        ],
        'reason-how' => [
            'reason', [], '', '',
            'How does it come about, step by step?',
            'Wie kommt es dazu, Schritt für Schritt?',
        ],
        'reason-rank' => [
            'reason', ['essay', 'report', 'article'], '', '',
            'Is “{title}” the most important point or the least?',
            'Ist „{title}“ der wichtigste Punkt oder der unwichtigste?',
        ],
        'reason-hidden' => [
            'reason', ['essay', 'thesis'], '', '',
            'What do you take for granted here without saying so?',
            'Was setzen Sie hier voraus, ohne es zu sagen?',
        ],
        'reason-whose' => [
            'reason', ['essay', 'report'], '', '',
            'Who gains from it, and who loses?',
            'Wer gewinnt dabei, und wer verliert?',
        ],
        'reason-else' => [
            'reason', [], '', '',
            'What would be different without it?',
            'Was wäre ohne es anders?',
        ],
        'reason-long' => [
            'reason', ['report'], '', '',
            'How long will it be so?',
            'Wie lange wird das so sein?',
        ],
        'reason-motive' => [
            'reason', ['book'], '', '',
            'Why does somebody do this who knows better?',
            'Warum tut das jemand, der es besser weiß?',
        ],
        'reason-step' => [
            'reason', ['report', 'thesis'], '', '',
            'What has to happen first so that this can happen?',
            'Was muss zuerst geschehen, damit das geschehen kann?',
        ],
        'reason-simple' => [
            'reason', [], '', '',
            'How would you explain it to a child?',
            'Wie würden Sie es einem Kind erklären?',
        ],
        'reason-link' => [
            'reason', [], '', '',
            'How does “{title}” bear on what stands above it?',
            'Was hat „{title}“ mit dem zu tun, was darüber steht?',
        ],
        'reason-measure' => [
            'reason', ['report', 'thesis'], '', 'number',
            'How could that be measured?',
            'Wie könnte man das messen?',
        ],
        'proof-source' => [
            'evidence', [], '', 'citation',
            'Where does that stand, or who has said it?',
            'Wo steht das, oder wer hat es gesagt?',
        ],
        'proof-example' => [
            'evidence', [], '', 'example',
            'What is an example of it?',
            'Was ist ein Beispiel dafür?',
        ],
        'proof-number' => [
            'evidence', ['report', 'thesis', 'article'], '', 'number',
            'How many, how much, how often?',
            'Wie viele, wie viel, wie oft?',
        ],
        'proof-when' => [
            'evidence', [], '', 'year',
            'When was that?',
            'Wann war das?',
        ],
        'proof-saw' => [
            'evidence', ['essay', 'article'], '', '',
            'Who saw it with their own eyes?',
            'Wer hat es mit eigenen Augen gesehen?',
        ],
        'proof-quote' => [
            'evidence', [], '', 'quotation',
            'Which words of somebody else would say it better?',
            'Welche Worte eines anderen würden es besser sagen?',
        ],
        'proof-trust' => [
            'evidence', ['report', 'thesis', 'article'], '', '',
            'Why can this source be trusted?',
            'Warum kann man dieser Quelle trauen?',
        ],
        'proof-against' => [
            'evidence', ['report', 'thesis'], '', '',
            'Is there a finding that does not fit?',
            'Gibt es einen Befund, der nicht passt?',
        ],
        'proof-second' => [
            'evidence', ['report', 'thesis'], '', 'citation',
            'Who else has found the same, and by another way?',
            'Wer hat dasselbe auf anderem Weg gefunden?',
        ],
        'proof-typical' => [
            'evidence', ['essay', 'report', 'thesis', 'article'], '', '',
            'Is this case typical, or did you choose it because it fits?',
            'Ist dieser Fall typisch, oder haben Sie ihn gewählt, weil er passt?',
        ],
        'proof-detail' => [
            'evidence', ['book', 'essay', 'article'], '', '',
            'What could one see, hear or smell there?',
            'Was konnte man dort sehen, hören oder riechen?',
        ],
        'proof-sample' => [
            'evidence', ['thesis'], '', '',
            'How many cases are behind it, and how were they chosen?',
            'Wie viele Fälle stehen dahinter, und wie wurden sie gewählt?',
        ],
        'proof-picture' => [
            'evidence', ['report', 'book', 'article'], '', '',
            'Would a picture or a table show it faster?',
            'Würde ein Bild oder eine Tabelle es schneller zeigen?',
        ],
        'proof-counter' => [
            'evidence', ['essay'], '', '',
            'Which example speaks against it?',
            'Welches Beispiel spricht dagegen?',
        ],
        'proof-old' => [
            'evidence', ['report', 'thesis', 'article'], '', '',
            'How old are these data, and do they still hold?',
            'Wie alt sind diese Angaben, und gelten sie noch?',
        ],
        'objection-best' => [
            'objection', [], '', '',
            'What is the best that can be said against you?',
            'Was ist das Beste, das man gegen Sie sagen kann?',
        ],
        'objection-who' => [
            'objection', ['essay', 'report', 'article'], '', '',
            'Who says so, and what would they lose if you were right?',
            'Wer sagt das, und was würde er verlieren, wenn Sie recht hätten?',
        ],
        'objection-grant' => [
            'objection', [], '', '',
            'What of it must you grant?',
            'Was daran müssen Sie zugeben?',
        ],
        'objection-answer' => [
            'objection', [], '', 'but',
            'And what do you answer?',
            'Und was antworten Sie darauf?',
        ],
        'objection-weight' => [
            'objection', ['essay', 'report', 'thesis'], '', '',
            'Does it overturn your claim, or only narrow it?',
            'Wirft es Ihre Behauptung um, oder schränkt es sie nur ein?',
        ],
        'objection-fair' => [
            'objection', ['essay', 'report', 'article'], '', '',
            'Would somebody who thinks so find themselves in your words?',
            'Würde sich, wer so denkt, in Ihren Worten wiederfinden?',
        ],
        'objection-risk' => [
            'objection', ['report'], '', '',
            'What could go wrong, and who would notice first?',
            'Was könnte schiefgehen, und wer würde es zuerst merken?',
        ],
        'objection-other' => [
            'objection', ['report', 'thesis'], '', '',
            'Which other explanation would fit just as well?',
            'Welche andere Erklärung würde ebenso gut passen?',
        ],
        'objection-limit' => [
            'objection', ['thesis'], '', '',
            'What can your method not see?',
            'Was kann Ihr Verfahren nicht sehen?',
        ],
        'objection-villain' => [
            'objection', ['book'], '', '',
            'In what is the adversary right?',
            'Worin hat der Gegenspieler recht?',
        ],
        'turn-when' => [
            'turn', [], '', '',
            'At what moment did it change?',
            'In welchem Augenblick hat es sich geändert?',
        ],
        'turn-before' => [
            'turn', [], '', '',
            'What was so before, and is not any more?',
            'Was war vorher so und ist es nicht mehr?',
        ],
        'turn-seen' => [
            'turn', ['essay', 'report', 'article'], '', '',
            'What does one see now that one did not see at the beginning?',
            'Was sieht man jetzt, das man am Anfang nicht sah?',
        ],
        'turn-choice' => [
            'turn', ['book'], '', '',
            'What has to be decided here, and what does it cost?',
            'Was muss hier entschieden werden, und was kostet es?',
        ],
        'turn-bridge' => [
            'turn', [], '', '',
            'How does one come from what stands before to “{title}”?',
            'Wie kommt man von dem, was davor steht, zu „{title}“?',
        ],
        'turn-back' => [
            'turn', ['book'], '', '',
            'Why can nobody go back after this?',
            'Warum kann nach diesem niemand mehr zurück?',
        ],
        'turn-although' => [
            'turn', ['essay', 'report', 'thesis', 'article'], '', '',
            'Although what is it so?',
            'Obwohl was ist es so?',
        ],
        'end-answer' => [
            'end', [], '', '',
            'What is the answer to the question of the beginning?',
            'Was ist die Antwort auf die Frage vom Anfang?',
        ],
        'end-next' => [
            'end', ['report', 'thesis'], '', '',
            'What should be done next, by whom, and by when?',
            'Was soll als Nächstes geschehen, durch wen und bis wann?',
        ],
        'end-open' => [
            'end', ['report', 'thesis', 'article'], '', '',
            'What is still open?',
            'Was bleibt offen?',
        ],
        'end-do' => [
            'end', ['essay', 'report'], '', '',
            'What should your reader do or think tomorrow?',
            'Was soll, wer das liest, morgen tun oder denken?',
        ],
        'end-first' => [
            'end', ['essay', 'book', 'article'], '', '',
            'What of the beginning comes back here in another light?',
            'Was vom Anfang kehrt hier in anderem Licht wieder?',
        ],
        'end-one' => [
            'end', [], '', '',
            'Which single sentence should stay in mind?',
            'Welcher eine Satz soll im Gedächtnis bleiben?',
        ],
        'end-wide' => [
            'end', ['essay', 'thesis', 'article'], '', '',
            'For what else does it matter?',
            'Wofür ist es sonst noch von Bedeutung?',
        ],
        'end-wrong' => [
            'end', ['thesis'], '', '',
            'What would you do otherwise if you began again?',
            'Was würden Sie anders machen, wenn Sie noch einmal begännen?',
        ],
        'end-last' => [
            'end', ['book'], '', '',
            'What does the last picture show?',
            'Was zeigt das letzte Bild?',
        ],
        'end-cost' => [
            'end', ['report'], '', '',
            'What happens if nothing is done?',
            'Was geschieht, wenn nichts geschieht?',
        ],
        'end-honest' => [
            'end', ['essay', 'report', 'article'], '', '',
            'Of what are you less sure than you sound?',
            'Wessen sind Sie weniger sicher, als Sie klingen?',
        ],
        'cue-name-who' => [
            '', [], 'name', '',
            'Who is {name}, for somebody who has never heard of them?',
            'Wer ist {name} für jemanden, der nie davon gehört hat?',
        ],
        'cue-name-why' => [
            '', [], 'name', '',
            'Why {name}, and not somebody else?',
            'Warum {name} und nicht jemand anders?',
        ],
        'cue-name-words' => [
            '', [], 'name', 'quotation',
            'What has {name} said or written about it?',
            'Was hat {name} dazu gesagt oder geschrieben?',
        ],
        'cue-name-against' => [
            '', ['essay', 'report', 'thesis', 'article'], 'name', '',
            'Who contradicts {name}?',
            'Wer widerspricht {name}?',
        ],
        'cue-year-before' => [
            '', [], 'year', '',
            'What was it like before {year}?',
            'Wie war es vor {year}?',
        ],
        'cue-year-who' => [
            '', [], 'year', '',
            'Who decided that in {year}, and what did they know then?',
            'Wer hat das {year} entschieden, und was wusste man damals?',
        ],
        'cue-year-since' => [
            '', [], 'year', '',
            'What has come of it since {year}?',
            'Was ist seit {year} daraus geworden?',
        ],
        'cue-year-else' => [
            '', ['report', 'thesis', 'book', 'article'], 'year', '',
            'What else happened around {year} that has to do with it?',
            'Was geschah um {year} sonst noch, das damit zu tun hat?',
        ],
        'cue-place-like' => [
            '', [], 'place', '',
            'What is it like in {place}, for somebody who has never been there?',
            'Wie ist es in {place} für jemanden, der nie dort war?',
        ],
        'cue-place-else' => [
            '', ['essay', 'report', 'thesis', 'article'], 'place', '',
            'Is it the same elsewhere, or only in {place}?',
            'Ist es anderswo ebenso oder nur in {place}?',
        ],
        'cue-place-who' => [
            '', [], 'place', '',
            'Who lives in {place} and would tell it otherwise?',
            'Wer lebt in {place} und würde es anders erzählen?',
        ],
        'cue-number-from' => [
            '', [], 'number', 'citation',
            'Where does the number {number} come from?',
            'Woher kommt die Zahl {number}?',
        ],
        'cue-number-much' => [
            '', [], 'number', '',
            'Compared with what is {number} much or little?',
            'Verglichen womit ist {number} viel oder wenig?',
        ],
        'cue-number-how' => [
            '', ['report', 'thesis'], 'number', '',
            'How was that counted?',
            'Wie wurde das gezählt?',
        ],
        'cue-why-deep' => [
            '', [], 'why', '',
            'And why is that so in its turn?',
            'Und warum ist das wiederum so?',
        ],
        'cue-why-only' => [
            '', [], 'why', '',
            'Is there only one reason, or several that come together?',
            'Gibt es nur einen Grund oder mehrere, die zusammenkommen?',
        ],
        'cue-why-not' => [
            '', [], 'why', '',
            'Why did it not happen earlier, or elsewhere?',
            'Warum geschah es nicht früher oder anderswo?',
        ],
        'cue-compare-same' => [
            '', [], 'comparison', '',
            'What have both in common?',
            'Was haben beide gemeinsam?',
        ],
        'cue-compare-by' => [
            '', [], 'comparison', '',
            'By what do you compare them?',
            'Woran messen Sie die beiden?',
        ],
        'cue-compare-third' => [
            '', [], 'comparison', '',
            'Is there a third that belongs beside them?',
            'Gibt es ein Drittes, das daneben gehört?',
        ],
        'cue-compare-prefer' => [
            '', ['essay', 'report'], 'comparison', '',
            'Which of them would you choose, and for whom?',
            'Welches würden Sie wählen, und für wen?',
        ],
        'cue-compare-unfair' => [
            '', [], 'comparison', '',
            'In what can they not be compared?',
            'Worin lassen sie sich nicht vergleichen?',
        ],
        'quote-why' => [
            'quotation', [], '', '',
            'Why these words and not your own?',
            'Warum diese Worte und nicht Ihre eigenen?',
        ],
        'quote-said' => [
            'quotation', [], '', '',
            'Who said this to whom, and on what occasion?',
            'Wer hat das zu wem gesagt und bei welcher Gelegenheit?',
        ],
        'quote-agree' => [
            'quotation', [], '', '',
            'In what do you not agree with it?',
            'Worin stimmen Sie dem nicht zu?',
        ],
        'quote-before' => [
            'quotation', [], '', '',
            'What stands before and after it in the source?',
            'Was steht in der Quelle davor und danach?',
        ],
        'any-missing' => [
            '', [], '', '',
            'What would a reader miss in “{title}”?',
            'Was würde man in „{title}“ vermissen?',
        ],
        'any-title' => [
            '', [], '', '',
            'Does “{title}” say what the section is about?',
            'Sagt „{title}“, worum es in dem Abschnitt geht?',
        ],
        'any-most' => [
            '', [], '', '',
            'What do you know about it that you have not written down?',
            'Was wissen Sie darüber, das Sie noch nicht aufgeschrieben haben?',
        ],
        'any-ask' => [
            '', [], '', '',
            'Whom could you ask about it?',
            'Wen könnten Sie danach fragen?',
        ],
        'any-doubt' => [
            '', [], '', '',
            'Where do you hesitate yourself?',
            'Wo zögern Sie selbst?',
        ],
        'any-out' => [
            '', [], '', '',
            'What could be left out without loss?',
            'Was könnte ohne Schaden wegfallen?',
        ],
        'any-picture' => [
            '', [], '', '',
            'What does one see before one’s eyes when one thinks of it?',
            'Was sieht man vor sich, wenn man daran denkt?',
        ],
        'any-words' => [
            '', [], '', '',
            'Which word would you use if you were not writing?',
            'Welches Wort würden Sie gebrauchen, wenn Sie nicht schrieben?',
        ],
    ];
}
