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
use HandGarden\Content\Format\ReadingFormat;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Measure\Ink\InkTask;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Core\Routine\Goals;
use HandGarden\Core\Screening\Answer;
use HandGarden\Planning\PlanBlock;
use HandGarden\Planning\SignOff;
use HandGarden\Planning\Teaching;
use HandGarden\Sitting\ItemMemories;
use HandGarden\Web\Clock;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Makes the made-up clients of `demo/`: assessments, who helps, the weeks that the virtual clinic lived through with
 * them, and the last days told by hand where a story wants them exactly so. Dates count back from today.
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
        private DemoRecordings $recordings,
        private ItemMemories $memories,
        private DemoHistory $history,
        private DemoLastDays $lastDays,
        #[Autowire('%kernel.project_dir%/demo')]
        private string $demoDir,
    ) {
    }

    /**
     * @param callable(string): void $after each client
     *
     * @return array<string, Client> by the name of their story
     */
    public function make(
        Clinic $clinic,
        Staff $therapist,
        Staff $assistant,
        \DateTimeImmutable $now,
        callable $after,
    ): array {
        $clients = [];
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
            $clients[$name] = $client;
            $this->helper($story, $client, $therapist, $now);
            $this->block($story, $client, $therapist, $now);
            $this->entities->flush();
            $lived = $this->file('lived/'.$name.'.json');
            $this->history->load(
                $lived,
                $client,
                $therapist->id,
                $assistant->id,
                now: $now,
            );
            if (null === $story->optional('sittings')) {
                $this->history->routine($lived, $client, $therapist->id, $now);
            } else {
                $this->lastDays->load($story, $client, $therapist, $assistant, now: $now);
            }
            $this->entities->flush();
            $after($name);
        }
        $this->memories->rebuild();

        return $clients;
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
}
