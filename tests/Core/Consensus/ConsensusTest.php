<?php

use Core\Codebook\Judgement;
use Core\Codebook\Verdict;
use Core\Consensus\Consensus;
use Core\Consensus\Grade;
use Core\Consensus\Label;
use Core\Motion\Station;
use Core\Reading\Call;
use Core\Reading\Presence;
use Core\Reading\Severity;
use Core\Remark\Remark;

/** Votes as letters: p present, a absent, c cannot tell. */
function votes(string $letters): array
{
    return array_map(
        static fn (string $l): Call => new Call(
            'sway',
            ['p' => Presence::Present, 'a' => Presence::Absent, 'c' => Presence::CannotTell][$l],
        ),
        str_split($letters),
    );
}

it('labels by the stated majority of those who could tell', function (string $letters, Label $label) {
    expect(Consensus::fromCalls(votes($letters))->label)->toBe($label);
})->with([
    ['ppppp', Label::Present],
    ['ppppa', Label::Present],
    ['pppaa', Label::None],
    ['aaaap', Label::Absent],
    ['pppa', Label::Present],
    ['ppac', Label::None],
    ['pppcc', Label::Present],
    ['ppccc', Label::None],
    ['ccccc', Label::None],
    ['aaacc', Label::Absent],
    ['ppa', Label::None],
]);

it('can be asked for another majority and more who could tell', function () {
    expect(Consensus::fromCalls(votes('pppaa'), 0.6)->label)->toBe(Label::Present)
        ->and(Consensus::fromCalls(votes('ppppa'), 0.9)->label)->toBe(Label::None)
        ->and(Consensus::fromCalls(votes('ppp'), 0.75, 4)->label)->toBe(Label::None)
        ->and(Consensus::fromCalls(votes('ppa'), 2 / 3)->label)->toBe(Label::Present);
});

it('takes the median severity and the onset named by most, of those who called it present', function () {
    $c = Consensus::fromCalls([
        new Call('sway', Presence::Present, Severity::Slight, Station::Top),
        new Call('sway', Presence::Present, Severity::Clear, Station::Top),
        new Call('sway', Presence::Present, Severity::Clear, Station::Impact),
        new Call('sway', Presence::Present, Severity::Dominant, Station::Top),
        new Call('sway', Presence::Absent),
    ]);
    expect($c->severity)
        ->toBe(2.0)
        ->and($c->onset)
        ->toBe(Station::Top)
        ->and([$c->present, $c->absent, $c->cannotTell])
        ->toBe([4, 1, 0]);
});

it('has no severity without the label and no onset on a tie', function () {
    $tied = Consensus::fromCalls([
        new Call('s', Presence::Present, Severity::Slight, Station::Top),
        new Call('s', Presence::Present, Severity::Clear, Station::Impact),
        new Call('s', Presence::Present, Severity::Clear),
    ]);
    expect($tied->onset)
        ->toBeNull()
        ->and($tied->severity)
        ->toBe(2.0)
        ->and(
            Consensus::fromCalls([new Call('s', Presence::Present, Severity::Dominant, Station::Top), ...votes('aa')])
                ->severity,
        )
        ->toBeNull();
});

it('grades a label by the measurement', function (Label $label, Verdict $verdict, ?float $margin, Grade $grade) {
    expect(Grade::grading($label, new Judgement($verdict, $margin, Remark::wordedThen('so it is'))))->toBe($grade);
})->with([
    [Label::Present, Verdict::Supported, 2.0, Grade::Verified],
    [Label::Absent, Verdict::Contradicted, 1.0, Grade::Verified],
    [Label::Present, Verdict::Supported, 0.6, Grade::Borderline],
    [Label::Absent, Verdict::Contradicted, 0.99, Grade::Borderline],
    [Label::Present, Verdict::Borderline, -0.5, Grade::Borderline],
    [Label::Absent, Verdict::Supported, 0.3, Grade::Borderline],
    [Label::Present, Verdict::Contradicted, 3.0, Grade::Conflict],
    [Label::Absent, Verdict::Supported, 1.4, Grade::Conflict],
    [Label::Present, Verdict::NotMeasurable, null, Grade::PanelOnly],
    [Label::Absent, Verdict::NotMeasurable, null, Grade::PanelOnly],
    [Label::None, Verdict::Supported, 9.0, Grade::Contested],
    [Label::None, Verdict::NotMeasurable, null, Grade::Contested],
]);

it('scores everything but what is contested, and a conflict only once ruled', function () {
    expect(Grade::Verified->isScored(false))
        ->toBeTrue()
        ->and(Grade::PanelOnly->isScored(false))
        ->toBeTrue()
        ->and(Grade::Borderline->isScored(false))
        ->toBeTrue()
        ->and(Grade::Conflict->isScored(false))
        ->toBeFalse()
        ->and(Grade::Conflict->isScored(true))
        ->toBeTrue()
        ->and(Grade::Contested->isScored(true))
        ->toBeFalse();
});
