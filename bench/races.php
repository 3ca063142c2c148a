<?php

declare(strict_types=1);

// php bench/races.php URL PASSWORD ROUNDS: each form is sent twice at the same moment, as a double click does, then
// once more, as a step back does; and by two people who opened it at the same time. Counted is what is kept: nothing
// twice, nothing replaced unseen, no error of the server. Ends with 1 otherwise. OWNER_DATABASE_URL: where it is kept.

use HandGarden\Bench\Faults\Answer;
use HandGarden\Bench\Faults\Database;
use HandGarden\Bench\Faults\Form;
use HandGarden\Bench\Faults\OfTwo;
use HandGarden\Bench\Faults\Person;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\Uid\Uuid;

require dirname(__DIR__).'/vendor/autoload.php';

[, $base, $password, $rounds] = $argv;
assert('' !== $base);
$first = new Person($base, 'maren@quayside.example', $password);
$second = new Person($base, 'sefa@quayside.example', $password);
$first->signIn();
$second->signIn();
$window = $first->secondWindow();
$database = new Database();
$id = $database->rows(
    "SELECT id FROM client WHERE given_name = 'Odalys' ORDER BY created_at LIMIT 1",
)[0]['id'] ?? '';
$client = '/clients/'.$id;

/** @return list<Form> as they are in this round: some are about a record that the round before has changed */
$forms = static function () use ($client, $database, $id): array {
    $reading = $database->rows(
        "SELECT id, number FROM reading WHERE client_id = '$id' AND number IS NOT NULL AND replaced_by_id IS NULL
            AND withdrawn_at IS NULL AND code = 'wrist_extension' ORDER BY id LIMIT 1",
    )[0];
    $item = $database->rows(
        "SELECT items->0->>'rung' || '|' || (items->0->>'hands') AS key FROM routine
            WHERE client_id = '$id' AND kind = 'home' ORDER BY made_at DESC, id DESC LIMIT 1",
    )[0]['key'];
    $visit = $database->rows(
        "SELECT id FROM visit WHERE client_id = '$id' AND signed_at IS NULL LIMIT 1",
    )[0]['id'] ?? '';
    $count = static fn (string $table): string => "SELECT count(*) FROM $table";
    $forms = [
        new Form('a new client', '/clients/new', $count('client'), typed: [
            'givenName' => 'Race',
            'familyName' => 'One %',
            'conditions' => ['stroke'],
            'affected' => 'right',
        ], other: ['familyName' => 'Two %']),
        new Form(
            'a client',
            $client.'/edit',
            $count('client'),
            typed: ['story' => 'Told on %.'],
            other: ['story' => 'Told otherwise on %.'],
            adds: 0,
            ofTwo: OfTwo::SecondIsAskedAgain,
        ),
        new Form(
            'to the archive and back',
            $client.'/edit',
            $count('client'),
            shown: 'form[action$="/archive"]',
            goesTo: $client.'/archive',
            adds: 0,
        ),
        new Form(
            'a note',
            $client,
            "SELECT count(*) FROM audit_line WHERE action = 'noted'",
            shown: 'form[action$="/note"]',
            goesTo: $client.'/note',
            typed: ['note' => 'Slept well. %'],
            other: ['note' => 'Slept badly. %'],
        ),
        new Form('a sitting', $client.'/sittings/new', $count('sitting'), typed: [
            'pain_before' => '1',
            'help' => 'none',
            'hurt_later' => 'no',
        ], other: ['pain_before' => '2']),
        new Form(
            'a measure',
            $client.'/measure?set=everything',
            $count('reading'),
            typed: ['m' => ['grip_kg:right:-:-' => '7']],
            other: ['m' => ['grip_kg:right:-:-' => '8']],
        ),
        new Form(
            'a reading put right',
            $client.'/readings/'.$reading['id'],
            $count('reading'),
            typed: ['value' => $reading['number'], 'reason' => 'A slip. %'],
            other: ['reason' => 'Another slip. %'],
            ofTwo: OfTwo::SecondIsAskedAgain,
        ),
        new Form(
            'times of the week',
            $client.'/week',
            $count('week_times'),
            typed: ['helper_hours' => 'Mon 8:0%-9:00'],
            other: ['helper_hours' => 'Tue 8:0%-9:00'],
            adds: -1,
            ofTwo: OfTwo::SecondIsAskedAgain,
        ),
        new Form(
            'screening',
            $client.'/screening',
            $count('screening_answer'),
            typed: ['asked_again' => '1'],
            adds: -1,
        ),
        new Form(
            'another rung',
            $client.'/placement',
            $count('placement_override'),
            shown: 'form[action$="/placement"]',
            typed: ['rung' => 'finger-space-opener', 'note' => 'She can. %'],
            other: ['note' => 'Not yet. %'],
            ofTwo: OfTwo::SecondIsTold,
        ),
        new Form(
            'an approach',
            $client.'/approaches',
            $count('approach_choice'),
            shown: 'ol.rows form',
            typed: ['note' => 'She tires. %'],
            other: ['note' => 'She does not. %'],
            ofTwo: OfTwo::SecondIsAskedAgain,
        ),
        new Form(
            'a goal',
            $client.'/goals',
            $count('short_term_goal'),
            shown: 'main select[name="rung"]',
            typed: ['rung' => 'finger-space-opener|right', 'note' => 'For the hooks. %'],
            other: ['note' => 'For the taps. %'],
        ),
        new Form(
            'a routine',
            $client.'/routine?kind=short',
            $count('routine'),
            shown: 'form[action$="/suggest"]',
            goesTo: $client.'/routine/suggest',
            ofTwo: OfTwo::SecondIsTold,
        ),
        new Form(
            'an item moved',
            $client.'/routine/item?item='.rawurlencode($item),
            $count('routine'),
            shown: 'form',
            goesTo: $client.'/routine',
            typed: ['do' => 'down'],
            adds: 0,
            ofTwo: OfTwo::SecondIsTold,
        ),
        new Form(
            'an exercise of our own',
            '/exercises/own/new?from=helped-lift-hold',
            $count('own_exercise'),
        ),
        new Form('a device', '/devices', $count('device'), shown: 'main select[name="kind"]', typed: [
            'name' => 'Race %',
        ]),
        new Form(
            'weights',
            '/clinic/settings/sitting',
            $count('clinic'),
            typed: ['clinicMinutes' => '4%', 'sure' => '1'],
            adds: 0,
            ofTwo: OfTwo::OnlyTheLead,
        ),
    ];
    if ([] !== $database->rows(
        "SELECT 1 FROM caseload_row WHERE client_id = '$id' AND summary::text LIKE '%proposals%'",
    )) {
        $forms[] = new Form(
            'a decision',
            $client.'/decisions',
            $count('decision'),
            shown: 'input[name="proposal"]',
            typed: ['answer' => 'declined'],
            ofTwo: OfTwo::SecondIsTold,
        );
    }
    if ('' !== $visit) {
        $forms[] = new Form(
            'a visit signed',
            $client.'/visits/'.$visit,
            $count('visit'),
            shown: 'form[action$="/sign"]',
            goesTo: $client.'/visits/'.$visit.'/sign',
            adds: 0,
        );
    }

    return $forms;
};

$named = static function (string $name) use ($forms): Form {
    foreach ($forms() as $form) {
        if ($form->name === $name) {
            return $form;
        }
    }
    exit("Nothing left to try '$name' on.\n");
};

/** @return ?array<array-key, mixed> what the form of a page would send; null when it is not there any more */
$fieldsOf = static function (Person $person, Form $form) use ($base): ?array {
    $shown = (new Crawler(
        $person->alone($person->ask($form->page))->body,
        $base.$form->page,
    ))->filter(
        $form->shown,
    );

    return 0 === $shown->count() ? null : $shown->first()->closest('form')?->form()->getPhpValues();
};
$told = static function (array $fields, int $number): array {
    array_walk_recursive($fields, static function (mixed &$text) use ($number): void {
        $text = is_string($text) ? str_replace('%', (string) $number, $text) : $text;
    });

    return $fields;
};
$wrong = $tried = 0;
$say = static function (bool $isRight, string $what) use (&$wrong, &$tried): void {
    ++$tried;
    $wrong += $isRight ? 0 : 1;
    printf("%s  %s\n", $isRight ? 'ok   ' : 'WRONG', $what);
};
for ($round = 1; $round <= (int) $rounds; ++$round) {
    foreach ($forms() as $form) {
        // a double click, then a step back and the same again
        $opened = $fieldsOf($first, $form);
        if (null === $opened) {
            $say(false, $form->name.' is not on '.$form->page);
            continue;
        }
        $fields = array_replace_recursive($opened, $told($form->typed, $round));
        $before = $database->number($form->counted);
        $answers = Person::together(
            [$first->post($form->address(), $fields), $window->post($form->address(), $fields)],
        );
        $once = $database->number($form->counted) - $before;
        $back = $first->alone($first->post($form->address(), $fields));
        $statuses = [$answers[0]->status, $answers[1]->status, $back->status];
        $say(
            [303, 303, 303] === $statuses
                && $database->number($form->counted) - $before === $once
                && (-1 === $form->adds || $once === $form->adds),
            sprintf(
                '%s, double click and back: %s; %d kept',
                $form->name,
                implode(' ', $statuses),
                $once,
            ),
        );
        $form = $named($form->name); // of records that nobody has changed yet
        $mine = $fieldsOf($first, $form);
        $theirs = $fieldsOf($second, $form);
        if (OfTwo::OnlyTheLead === $form->ofTwo || null === $mine || null === $theirs) {
            continue;
        }
        $mine = array_replace_recursive($mine, $told($form->typed, 3 + $round));
        $theirs = array_replace_recursive(
            $theirs,
            $told($form->typed, 9),
            $told($form->other, (6 + $round) % 10),
        );
        $answers = Person::together(
            [$first->post($form->address(), $mine), $second->post($form->address(), $theirs)],
        );
        $statuses = array_map(static fn (Answer $a): int => $a->status, $answers);
        sort($statuses);
        $say(
            2 === count($statuses) && $form->ofTwo->isRight($statuses),
            sprintf('%s, two people at once: %s', $form->name, implode(' ', $statuses)),
        );
    }
}
// two windows of one browser send the same lines of a sitting at the same moment
$start = new Form('a sitting', $client.'/sittings/new', 'SELECT count(*) FROM sitting');
$fields = ['pain_before' => '1', 'hurt_later' => 'no', 'help' => 'none'] + ($fieldsOf($first, $start) ?? []);
$page = (string) parse_url(
    $first->alone($first->post($start->page, $fields))->leadsTo(),
    \PHP_URL_PATH,
);
preg_match_all(
    '/data-item="([0-9a-f-]{36})"/',
    $first->alone($first->ask($page.'/lines'))->body,
    $items,
);
$stored = $alike = 0;
for ($line = 0; $line < 40; ++$line) {
    $sent = ['id' => Uuid::v4()->toRfc4122(), 'item' => $items[1][$line % count(
        $items[1],
    )], 'outcome' => 'done'];
    $answers = Person::together([$first->json($page.'/log', $sent), $window->json($page.'/log', $sent)]);
    $alike += 200 === $answers[0]->status && 200 === $answers[1]->status ? 1 : 0;
    $stored += $database->number("SELECT count(*) FROM sitting_event WHERE id = '{$sent['id']}'");
}
$say(
    40 === $alike && 40 === $stored,
    sprintf(
        '40 lines from two windows at once: %d told both as stored, %d kept',
        $alike,
        $stored,
    ),
);
printf("%d tries in %d rounds: %d wrong\n", $tried, $rounds, $wrong);
exit(0 === $wrong ? 0 : 1);
