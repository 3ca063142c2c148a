<?php

declare(strict_types=1);

// php -d opcache.enable_cli=1 bench/core.php: the rules and the drawing on one core, warm.

use HandGarden\Bench\Stopwatch;
use HandGarden\Content\CatalogueReader;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Pictures\HandPictures;
use HandGarden\Content\Pictures\SvgWriter;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\ExerciseFilter;
use HandGarden\Core\Device\Batch;
use HandGarden\Core\Device\DeviceKind;
use HandGarden\Core\Device\Seen;
use HandGarden\Core\Drawing\Camera;
use HandGarden\Core\Drawing\Figure;
use HandGarden\Core\Drawing\HandModel;
use HandGarden\Core\Drawing\Painter;
use HandGarden\Core\Drawing\View;
use HandGarden\Core\Measure\Steadiness\Steadiness;
use HandGarden\Core\Measure\Steadiness\Trace;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Outcome;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\Proposer;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Progress\Situation;
use HandGarden\Core\Progress\Told;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Device\Simulated\Profile;
use HandGarden\Device\Simulated\SimulatedDevice;
use HandGarden\Exchange\Case\CaseReader;
use HandGarden\Exchange\Case\SchemaCheck;

require dirname(__DIR__).'/vendor/autoload.php';

$root = dirname(__DIR__);
$data = CatalogueStore::parse($root.'/catalogue');
$catalogue = (new CatalogueReader())->read($data);
$drawings = CatalogueStore::readDrawings($root.'/catalogue');
$cache = sys_get_temp_dir().'/garden-bench';
(new CatalogueStore($root.'/catalogue', $cache, false))->warmUp($cache);
Stopwatch::run(
    'catalogue, one exercise out of the ready values',
    5,
    200,
    static fn (): mixed => (
        new CatalogueStore($root.'/catalogue', $cache, false)
    )->get()->rung('helped-lift-hold'),
    limitMs: 1.0,
);
Stopwatch::run(
    'catalogue, all ladders out of the ready values',
    5,
    100,
    static fn (): mixed => (new CatalogueStore(
        $root.'/catalogue',
        $cache,
        false,
    ))->get()->ladders(),
);
$filter = new ExerciseFilter(['wrist', 'ligh'], Condition::Stroke, minutes: 3);
Stopwatch::run(
    'search of the catalogue, words and filters',
    5,
    100,
    static fn (): mixed => (
        new CatalogueStore($root.'/catalogue', $cache, false)
    )->search()->find($filter),
    limitMs: 50.0,
);
Stopwatch::run(
    'catalogue, from decoded YAML',
    2,
    20,
    static fn (): mixed => (new CatalogueReader())->read($data),
);

$cases = array_map(
    static fn (string $name): object => (
        new CaseReader($catalogue, new SchemaCheck($root.'/docs/case.schema.json'))
    )->read((string) file_get_contents($root.'/docs/examples/'.$name.'.json')),
    ['tight-hand-with-log', 'cupped-hands', 'fingers-together'],
);
Stopwatch::run(
    'place + build + propose, one client',
    6,
    120,
    static function (int $round) use ($cases, $catalogue): void {
        $case = $cases[$round % 3];
        $placements = (new Placer($catalogue))->place($case->facts, $case->today);
        (new Builder($catalogue))->build($case->brief($placements));
        (new Proposer($catalogue))->propose(
            $case->routine,
            $case->log,
            new Situation($case->facts->people->conditions, 5, $case->today),
        );
    },
);
Stopwatch::run(
    'place, one client on all ladders',
    6,
    120,
    static fn (int $round): mixed => (new Placer($catalogue))->place(
        $cases[$round % 3]->facts,
        $cases[$round % 3]->today,
    ),
    limitMs: 10.0,
);
$placed = array_map(
    static fn ($case) => (new Placer($catalogue))->place(
        $case->facts,
        $case->today,
    ),
    $cases,
);
Stopwatch::run(
    'build, one client',
    6,
    120,
    static fn (int $round): mixed => (new Builder($catalogue))->build(
        $cases[$round % 3]->brief($placed[$round % 3]),
    ),
    limitMs: 50.0,
);

// every day for 12 weeks all of a built routine, with pain every fifth time
$built = (new Builder($catalogue))->build($cases[0]->brief($placed[0]))->sequence->items;
$prescribed = array_map(
    static fn ($item) => new Prescribed($item->rung, $item->hands, $item->dose),
    array_values(array_filter($built, static fn ($item): bool => !$item->isPause)),
);
$lines = [];
for ($day = 84; $day > 0; --$day) {
    foreach ($prescribed as $n => $item) {
        $lines[] = LogLine::from(
            "$day-$n",
            "sitting-$day",
            new ItemKey($item->rung->id, $item->hands),
            $item->dose,
            day: $cases[0]->today->modify("-$day days"),
            told: new Told(
                Outcome::Done,
                painBefore: 0,
                painAfter: 0 === ($day + $n) % 5 ? 3 : 0,
            ),
        );
    }
}
$twelveWeeks = new SittingLog($lines);
Stopwatch::run(
    sprintf('propose over 12 weeks, %d lines', count($lines)),
    3,
    40,
    static fn (): mixed => (new Proposer($catalogue))->propose(
        $prescribed,
        $twelveWeeks,
        new Situation($cases[0]->facts->people->conditions, 5, $cases[0]->today),
    ),
    limitMs: 30.0,
);

$motion = new SimulatedDevice(DeviceKind::Motion, Profile::Tremor);
$samples = [];
for ($i = 0; $i < 3000; ++$i) {
    [$x, $y, $z] = $motion->values($i / 100.0);
    $samples[] = [10.0 * $i, $x, $y, $z];
}
Stopwatch::run(
    'a trace of 30 s analysed',
    3,
    40,
    static fn (): mixed => Steadiness::from(Trace::fromSamples(100.0, $samples)),
    limitMs: 50.0,
);
$glove = new SimulatedDevice(DeviceKind::Glove, Profile::Tight);
$lines = '{"hello":"hand-garden/device","version":1,"kind":"glove","run":"bench"}'
    ."\n"
    .$glove->lines(0)
    .$glove->lines(1);
Stopwatch::run(
    'a delivery of the glove read',
    20,
    300,
    static fn (): mixed => Batch::read(DeviceKind::Glove, $lines, new Seen()),
);

$names = $drawings->poseNames();
$views = [View::Palmar, View::Dorsal, View::Radial, View::Three, View::ThreePalm];
Stopwatch::run(
    'one full hand, cold (all poses, five views)',
    10,
    230,
    static fn (int $round): mixed => (
        new Figure(
            HandModel::build($drawings->pose($names[$round % count($names)])->pose),
            Camera::from($views[$round % 5], Side::Right),
        )
    )->layers(),
    limitMs: 40.0,
);
$painter = new Painter();
Stopwatch::run(
    'live sketch of a pose',
    10,
    230,
    static fn (int $round): string => (new SvgWriter())->write(
        $painter->sketch(
            $drawings->pose($names[$round % count($names)])->pose,
            $views[$round % 5],
            Side::Right,
        ),
    ),
    limitMs: 15.0,
);
$rungs = $catalogue->rungs();
$pictures = new HandPictures(
    new CatalogueStore($root.'/catalogue', sys_get_temp_dir().'/garden-bench', false),
    sys_get_temp_dir().'/garden-bench',
);
$sizes = $stills = [];
foreach ($rungs as $rung) {
    foreach (array_keys($rung->picture()->stills) as $nth) {
        $stills[] = [$rung, $nth];
    }
}
Stopwatch::run(
    'still of an exercise, of all that it has',
    0,
    count($stills),
    static function (int $round) use ($pictures, $painter, $stills, &$sizes): void {
        [$rung, $nth] = $stills[$round];
        $svg = (new SvgWriter())->write($painter->paint($pictures->specOf($rung, Side::Right, $nth)));
        $sizes[] = strlen((string) gzencode($svg, 6));
    },
);
sort($sizes);
printf(
    "%-46s median %7.1f kB   largest %6.1f kB\n",
    'its size, compressed',
    ($sizes[intdiv(count($sizes), 2)] ?? 0) / 1024,
    ($sizes[count($sizes) - 1] ?? 0) / 1024,
);
