<?php

declare(strict_types=1);

namespace HandGarden\Desk\Demo;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Account\Clinic;
use HandGarden\Account\Staff;
use HandGarden\Assessment\RecordedReading;
use HandGarden\Assessment\Visit;
use HandGarden\Client\Client;
use HandGarden\Client\Helper;
use HandGarden\Client\HelperKind;
use HandGarden\Client\Intake;
use HandGarden\Client\ScreeningAnswer;
use HandGarden\Client\Stamina;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Format\DoseFormat;
use HandGarden\Content\Format\ReadingFormat;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Measure\Ink\InkTask;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Core\Routine\Brief;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Goals;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Routine\SittingDefaults;
use HandGarden\Core\Screening\Answer;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Core\Sitting\Fold;
use HandGarden\Core\Words\Phrase;
use HandGarden\Core\Words\PhraseFormat;
use HandGarden\Planning\DoseSource;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanBlock;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\PrescribedDose;
use HandGarden\Planning\Prescribing;
use HandGarden\Planning\RoutineKind;
use HandGarden\Planning\SavedRoutine;
use HandGarden\Planning\SignOff;
use HandGarden\Planning\Suspension;
use HandGarden\Planning\Teaching;
use HandGarden\Sitting\EventTime;
use HandGarden\Sitting\ItemMemories;
use HandGarden\Sitting\Sitting;
use HandGarden\Sitting\SittingEvent;
use HandGarden\Sitting\SittingItem;
use HandGarden\Web\Clock;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Makes the made-up clients of `demo/`: assessments by week, a routine by the builder, and weeks of sittings with good
 * days, a setback and missed days. Dates count back from today.
 */
final readonly class DemoClients
{
    public const NAMES = [
        'odalys',
        'tomasz',
        'imke',
        'bashir',
        'noor',
        'wilhelmina',
        'leandro',
    ];
    private const BLOCK_DAYS = 14;

    public function __construct(
        private EntityManagerInterface $entities,
        private CatalogueStore $catalogue,
        private Plan $plan,
        private PlanRepository $plans,
        private DemoRecordings $recordings,
        private ItemMemories $memories,
        private DemoHistory $history,
        #[Autowire('%kernel.project_dir%/demo')]
        private string $demoDir,
    ) {
    }

    /** @param callable(string): void $after each client */
    public function make(
        Clinic $clinic,
        Staff $therapist,
        Staff $assistant,
        \DateTimeImmutable $now,
        callable $after,
    ): void {
        foreach (self::NAMES as $name) {
            $story = $this->file($name.'.json');
            $client = $this->client(
                $story->get('client'),
                $clinic,
                $therapist,
                $now,
            );
            $today = Clock::dayOf($now, $client->zone);
            $this->screening($client, $therapist, $today, $now);
            foreach ($story->get('assessments')->items() as $assessment) {
                $this->assessment(
                    $assessment,
                    $client,
                    $therapist,
                    $today,
                    now: $now,
                );
            }
            if ([Condition::Parkinsons] === $client->conditions()) {
                $this->recordings->make(
                    $client,
                    $therapist->id,
                    $today,
                    $now,
                );
            }
            $this->helper($story, $client, $therapist, $now);
            $this->block($story, $client, $therapist, $now);
            $this->entities->flush();
            $this->plan->reset();
            if (null === $story->optional('practice')) {
                $items = $this->routine(
                    $story,
                    $client,
                    $therapist,
                    $today,
                    now: $now,
                );
                $this->sittings(
                    $story->get('sittings'),
                    $client,
                    $items,
                    $assistant,
                    now: $now,
                );
            } else {
                $this->history->load(
                    $this->file('lived/'.$name.'.json'),
                    $client,
                    $therapist->id,
                    $assistant->id,
                    now: $now,
                );
            }
            $this->entities->flush();
            $after($name);
        }
        $this->memories->rebuild();
    }

    private function file(string $name): Node
    {
        return Node::fromJson(
            (string) file_get_contents($this->demoDir.'/'.$name),
            $name,
        );
    }

    /** Who helps, and what they were shown and signed for. */
    private function helper(
        Node $story,
        Client $client,
        Staff $therapist,
        \DateTimeImmutable $now,
    ): void {
        $name = $story->get('client')->get('helper')->string();
        if ('' === $name) {
            return;
        }
        $helper = new Helper(
            $client->clinicId,
            $client->id,
            $name,
            HelperKind::Family,
            at: $now->modify('-70 days'),
        );
        $helper->briefedOn = $now->modify('-68 days');
        $this->entities->persist($helper);
        $at = $now->modify('-40 days');
        $techniques = $this->catalogue->get()->handbook()->techniques;
        foreach ($story->optional('signed')?->strings() ?? [] as $signed) {
            $one = RungOnSide::fromText($signed);
            $technique = null === $one ? null : $techniques->of($one->rungId);
            if (null === $one || null === $technique) {
                throw InvalidData::at('signed', \sprintf('nothing teaches "%s"', $signed));
            }
            $teaching = new Teaching(
                $helper->clinicId,
                $helper->clientId,
                $helper->id,
                $technique->key,
                side: $one->side,
                points: array_fill_keys(array_keys($techniques->points($technique)), true),
                shown: [$signed => ''],
                practise: '',
                byStaffId: $therapist->id,
                at: $at,
            );
            $this->entities->persist($teaching);
            $this->entities->persist(SignOff::after($teaching, $one, Clock::dayOf($at, $client->zone)));
        }
    }

    /** The block that runs: each client stands on another day of theirs. */
    private function block(
        Node $story,
        Client $client,
        Staff $therapist,
        \DateTimeImmutable $now,
    ): void {
        $day = $story->optional('block_day')?->int();
        if (null !== $day) {
            $this->entities->persist(new PlanBlock(
                $client->clinicId,
                $client->id,
                Clock::dayOf($now, $client->zone)->modify('-'.($day - 1).' days'),
                self::BLOCK_DAYS,
                sample: InkTask::Word,
                byStaffId: $therapist->id,
                at: $now->modify('-'.($day - 1).' days'),
            ));
        }
    }

    private function client(
        Node $node,
        Clinic $clinic,
        Staff $therapist,
        \DateTimeImmutable $now,
    ): Client {
        $client = new Client(
            $clinic->id,
            $therapist->id,
            $now->modify('-70 days'),
        );
        $client->givenName = $node->get('given')->string();
        $client->familyName = $node->get('family')->string();
        $client->birthYear = (int) $now->format('Y') - $node->get('age')->int();
        $client->zone = 'Europe/Tallinn';
        $client->phone = $node->optional('phone')?->string() ?? '';
        $client->setConditions(
            $node->get('conditions')->enums(Condition::class),
        );
        $client->setSides(
            $node->get('affected')->enums(Side::class),
            $node->get('unaffected')->enums(Side::class),
        );
        $client->minutes = $node->get('minutes')->int();
        $client->daysPerWeek = $node->get('days')->int();
        $client->stamina = $node->get('stamina')->enum(Stamina::class);
        $client->materials = $node->get('materials')->strings();
        $client->goals = array_map(
            static fn (Node $w): int => $w->int(
                Goals::LEAST,
                Goals::MOST,
            ),
            $node->get('goals')->map(),
        );
        $client->goalWords = $node->get('goal_words')->string();
        $client->story = $node->get('story')->string();
        $client->setIntake(
            self::intake($node->get('intake'), $now),
        );
        $this->entities->persist($client);

        return $client;
    }

    private static function intake(Node $node, \DateTimeImmutable $now): Intake
    {
        $day = static fn (string $key): string => $now->modify(
            '-'.$node->get($key)->int().' days',
        )->format('Y-m-d');
        $kept = [
            'onsetOn' => $day('onset_days_ago'),
            'consentOn' => $day('consent_days_ago'),
        ];
        foreach ($node->map() as $key => $value) {
            $kept[$key] ??= $value->raw();
        }

        return Intake::fromArray($kept);
    }

    private function screening(
        Client $client,
        Staff $staff,
        \DateTimeImmutable $today,
        \DateTimeImmutable $now,
    ): void {
        foreach ($this->catalogue->get()->screening->questions as $question) {
            $this->entities->persist(
                new ScreeningAnswer(
                    $client->clinicId,
                    $client->id,
                    $question->id,
                    Answer::No,
                    askedOn: $today->modify('-7 days'),
                    byStaffId: $staff->id,
                    at: $now->modify('-7 days'),
                ),
            );
        }
    }

    private function assessment(
        Node $node,
        Client $client,
        Staff $staff,
        \DateTimeImmutable $today,
        \DateTimeImmutable $now,
    ): void {
        $ago = '-'.$node->get('days_ago')->int().' days';
        $day = $today->modify($ago);
        $visit = new Visit(
            $client->clinicId,
            $client->id,
            $day,
            $staff->id,
            at: $now->modify($ago),
        );
        $visit->note = $node->get('note')->string();
        $this->entities->persist($visit);
        $readings = (new ReadingFormat($this->catalogue->get()))->all($node, $day);
        foreach ($readings as $reading) {
            $this->entities->persist(
                RecordedReading::from(
                    $reading,
                    $visit,
                    $staff->id,
                    $now->modify($ago),
                ),
            );
        }
    }

    /** @return list<Item> */
    private function routine(
        Node $story,
        Client $client,
        Staff $staff,
        \DateTimeImmutable $today,
        \DateTimeImmutable $now,
    ): array {
        $catalogue = $this->catalogue->get();
        $doses = [];
        foreach ($story->get('doses')->map() as $key => $dose) {
            $doses[$key] = DoseFormat::read(
                $dose,
                $catalogue->rung(ItemKey::fromText($key)->rungId ?? '')->dosing->start,
            );
            $this->entities->persist(
                new PrescribedDose(
                    $client->clinicId,
                    $client->id,
                    $key,
                    DoseFormat::write($doses[$key]),
                    byStaffId: $staff->id,
                    at: $now->modify('-15 days'),
                    source: DoseSource::Therapist,
                ),
            );
        }
        $routine = (new Builder($catalogue))->build(
            new Brief(
                $this->plan->placements($client),
                $this->plan->facts($client),
                Goals::chosen($catalogue->goals, $client->goals),
                RoutineKind::Home->limits($client, new SittingDefaults()),
                today: $today,
                doses: $doses,
            ),
        );
        $this->entities->persist(
            SavedRoutine::suggested(
                $routine,
                $client,
                RoutineKind::Home,
                $staff->id,
                at: $now->modify('-15 days'),
            ),
        );

        $this->entities->flush();
        $this->plans->prescribeNew(
            $client,
            $routine->sequence->items,
            new Prescribing($staff->id, $now->modify('-15 days')),
        );

        return $routine->sequence->items;
    }

    /**
     * @param list<Item> $items
     */
    private function sittings(
        Node $node,
        Client $client,
        array $items,
        Staff $staff,
        \DateTimeImmutable $now,
    ): void {
        foreach ($node->items() as $sitting) {
            $daysAgo = $sitting->get('days_ago')->int();
            $at = $now->modify('-'.$daysAgo.' days')->setTime(
                8,
                30,
            );
            $day = Clock::dayOf($at, $client->zone);
            $record = new Sitting(
                $client,
                $day,
                painBefore: $sitting->get('pain')->int(),
                actor: Actor::staff($staff->id),
                startedAt: $at,
            );
            $record->finishedAt = $at->modify('+25 minutes');
            $record->note = $sitting->optional('note')?->string() ?? '';
            $this->entities->persist($record);
            $this->entities->persist(
                $this->noted($record, EventKind::Begun, $at, $client),
            );
            $this->entities->persist(
                $this->noted(
                    $record,
                    EventKind::Finished,
                    $at->modify('+25 minutes'),
                    $client,
                ),
            );
            $special = $sitting->optional('items')?->map() ?? [];
            foreach ($items as $place => $item) {
                $of = $special[$item->key()] ?? null;
                $this->line(
                    $record,
                    $place,
                    $item,
                    $sitting,
                    special: $of,
                    time: EventTime::now(
                        $at->modify('+'.(2 * $place).' minutes'),
                        $client->zone,
                    ),
                );
                if (true === $of?->optional('new_tingling')?->bool()) {
                    $suspension = new Suspension(
                        $client->clinicId,
                        $client->id,
                        $item->key(),
                        PhraseFormat::write(new Phrase(
                            'suspension.tingling',
                            [
                                'item' => $item->rung->name,
                                'on' => Phrase::day($day),
                            ],
                        )),
                        at: $at,
                    );
                    $this->reopen($suspension, $of, $staff);
                    $this->entities->persist($suspension);
                }
            }
        }
    }

    private function reopen(Suspension $suspension, Node $of, Staff $staff): void
    {
        $note = $of->optional('reopened')?->string();
        if (null !== $note) {
            $suspension->reopen($staff->id, $suspension->at->modify('+1 day'), $note);
        }
    }

    private function line(
        Sitting $sitting,
        int $place,
        Item $item,
        Node $of,
        ?Node $special,
        EventTime $time,
    ): void {
        $pain = $of->get('pain')->int();
        $body = [
            'outcome' => 'done',
            'pain_before' => $pain,
            'pain_after' => $pain,
            'tone' => 'same',
            'help' => 'none',
            'fatigue' => $of->get('fatigue')->int(),
        ];
        foreach ($special?->map() ?? [] as $key => $value) {
            if (!\in_array($key, ['reopened', 'dose'], true)) {
                $body[$key] = $value->raw();
            }
        }
        $dose = DoseFormat::read(
            $special?->optional('dose'),
            $item->dose,
        );
        $planned = SittingItem::from(
            $sitting,
            $place,
            $item->withDose($dose),
        );
        $event = SittingEvent::noted(
            $sitting,
            $planned,
            EventKind::Line,
            actor: $sitting->actor(),
            time: $time,
            body: $body,
        );
        $planned->keep(
            Fold::item([$event->folded()]),
        );
        $this->entities->persist($planned);
        $this->entities->persist($event);
    }

    private function noted(
        Sitting $sitting,
        EventKind $kind,
        \DateTimeImmutable $at,
        Client $client,
    ): SittingEvent {
        $body = EventKind::Begun === $kind
            ? ['pain_before' => $sitting->painBefore]
            : ['note' => $sitting->note];

        return SittingEvent::noted(
            $sitting,
            null,
            $kind,
            actor: $sitting->actor(),
            time: EventTime::now($at, $client->zone),
            body: $body,
        );
    }
}
