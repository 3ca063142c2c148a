<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Assessment\RecordedReading;
use HandGarden\Assessment\Visit;
use HandGarden\Client\Client;
use HandGarden\Client\Helper;
use HandGarden\Client\HelperKind;
use HandGarden\Client\ScreeningAnswer;
use HandGarden\Content\Format\DoseFormat;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\Proposer;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Goals;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Routine;
use HandGarden\Core\Screening\Answer;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Core\Sitting\Fold;
use HandGarden\Core\Sitting\ItemEvent;
use HandGarden\Core\Words\Phrase;
use HandGarden\Core\Words\PhraseFormat;
use HandGarden\Exchange\Case\CaseFile;
use HandGarden\Exchange\Case\ResultWriter;
use HandGarden\Planning\Briefs;
use HandGarden\Planning\DoseSource;
use HandGarden\Planning\PrescribedDose;
use HandGarden\Planning\RoutineFormat;
use HandGarden\Planning\RoutineKind;
use HandGarden\Planning\SavedRoutine;
use HandGarden\Planning\ShownRung;
use HandGarden\Progress\OpenProposals;
use HandGarden\Progress\UsualPainNote;
use HandGarden\Sitting\ItemMemories;
use HandGarden\Sitting\Sitting;
use HandGarden\Sitting\SittingItem;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Clock\Clock as GlobalClock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Clock\NativeClock;

/** A client places, is given and is proposed the same from the database and from a file. */
final class BothWaysTest extends GardenTestCase
{
    private const FOLDER = __DIR__.'/../../docs/examples/';

    protected function tearDown(): void
    {
        GlobalClock::set(new NativeClock());
        parent::tearDown();
    }

    /** @return iterable<string, array{string}> */
    public static function cases(): iterable
    {
        foreach (['tight-hand', 'tight-hand-with-log', 'cupped-hands', 'fingers-together'] as $name) {
            yield $name => [$name];
        }
        $worked = glob(self::FOLDER.'worked/*.json');
        foreach (false === $worked ? [] : $worked as $file) {
            yield basename($file, '.json') => ['worked/'.basename($file, '.json')];
        }
    }

    #[DataProvider('cases')]
    public function testTheSameAnswersFromTheDatabaseAndFromTheFile(string $name): void
    {
        $written = Node::fromJson((string) file_get_contents(self::FOLDER.$name.'.json'));
        $case = Cases::example($name);
        GlobalClock::set(new MockClock($case->today->format('Y-m-d').' 12:00 UTC'));
        $client = $this->stored($case, $written);
        $this->service(ItemMemories::class)->rebuild();
        $catalogue = Cases::catalogue();
        $placements = (new Placer($catalogue))->place($case->facts, $case->today);

        $kind = $case->facts->setting->atHome ? RoutineKind::Home : RoutineKind::Clinic;
        $brief = $this->service(Briefs::class)->for($client, $kind);

        $writer = $this->service(ResultWriter::class);
        self::assertEquals(
            $writer->placements($placements),
            $writer->placements($brief->placements),
        );
        if ([] === $case->log->lines) {
            $fromFile = (new Builder($catalogue))->build($case->brief($placements));
            self::assertSame(
                self::told($fromFile),
                self::told((new Builder($catalogue))->build($brief->withLimits($case->limits))),
            );
        }
        foreach ($written->get('client')->optional('usual_pain')?->items() ?? [] as $usual) {
            $this->entities->persist(new UsualPainNote(
                $client->clinicId,
                $client->id,
                $usual->get('part')->enum(ArmPart::class),
                $usual->get('side')->enum(Side::class),
                level: $usual->get('level')->int(),
                cause: 'From the file',
                byStaffId: $client->therapistId,
                at: $case->today,
            ));
        }
        $this->entities->flush();
        $fromFile = (new Proposer($catalogue))->propose(
            $case->routine,
            $case->log,
            $case->situation(new Placer($catalogue)),
        );
        self::assertEquals(
            array_map(self::said(...), $fromFile),
            array_map(self::said(...), $this->service(OpenProposals::class)->for($client)),
        );
    }

    /** @return array<mixed> a proposal without the names of the lines it rests on */
    private static function said(Proposal $proposal): array
    {
        return ['evidence' => \count($proposal->evidence)] + get_object_vars($proposal);
    }

    /** @return list<array{string, array<string, mixed>, array<string, mixed>}> */
    private static function told(Routine $routine): array
    {
        return array_map(
            static fn (Item $i): array => [$i->key(), DoseFormat::write($i->dose), PhraseFormat::write(
                $i->reason,
            )],
            $routine->sequence->items,
        );
    }

    private function stored(CaseFile $case, Node $written): Client
    {
        $clinic = $this->clinic();
        $therapist = $this->staff($clinic);
        $this->signIn($therapist);
        $now = $case->today->setTime(9, 0);
        $client = new Client($clinic->id, $therapist->id, $now);
        $client->givenName = 'From';
        $client->familyName = 'File';
        $people = $case->facts->people;
        $client->setConditions($people->conditions);
        $client->setSides($people->affected, $people->unaffected);
        $client->writingHand = $people->writingHand;
        $client->materials = $case->facts->setting->materials;
        $client->injectedOn = $case->facts->measured->injection?->on;
        $client->injectedSides = array_map(
            static fn (Side $s): string => $s->value,
            $case->facts->measured->injection->sides ?? [],
        );
        $client->minutes = $case->limits->minutes;
        $client->daysPerWeek = $case->daysPerWeek;
        $client->goals = self::goals($written);
        $this->keep($client);
        if ($case->facts->setting->helperHere) {
            $helper = new Helper($clinic->id, $client->id, 'Sister', HelperKind::Family, at: $now);
            $helper->briefedOn = $case->today;
            $this->entities->persist($helper);
        }
        foreach (null === $case->facts->decided->shown ? Cases::catalogue()->rungs() : [] as $rung) {
            foreach (Side::cases() as $side) {
                $this->entities->persist(new ShownRung(
                    $clinic->id,
                    $client->id,
                    $rung->id,
                    $side,
                    byStaffId: $therapist->id,
                    at: $now,
                ));
            }
        }
        foreach ($written->optional('screening')?->map() ?? [] as $question => $answer) {
            $isDated = !\is_string($answer->raw());
            $this->entities->persist(new ScreeningAnswer(
                $clinic->id,
                $client->id,
                $question,
                ($isDated ? $answer->get('answer') : $answer)->enum(Answer::class),
                askedOn: $isDated ? $answer->get('on')->date() : $case->today,
                byStaffId: $therapist->id,
                at: $now,
            ));
        }
        $visit = new Visit(
            $clinic->id,
            $client->id,
            $case->today,
            $therapist->id,
            at: $now,
        );
        $this->entities->persist($visit);
        foreach ($case->facts->measured->readings->current() as $reading) {
            $this->entities->persist(RecordedReading::from(
                $reading,
                $visit,
                $therapist->id,
                $now,
            ));
        }
        $this->storePlan($case, $client, $now);
        $this->storeLog($case, $written, $client);
        $this->entities->flush();

        return $client;
    }

    private function storePlan(
        CaseFile $case,
        Client $client,
        \DateTimeImmutable $now,
    ): void {
        if ([] === $case->routine) {
            return;
        }
        $routine = SavedRoutine::byHand(
            $client,
            RoutineKind::Home,
            $client->therapistId,
            $now,
        );
        $items = [];
        foreach ($case->routine as $item) {
            $items[] = new Item(
                $item->rung,
                $item->hands,
                $item->dose,
                Phrase::own('written'),
            );
            $this->entities->persist(new PrescribedDose(
                $client->clinicId,
                $client->id,
                $item->key(),
                DoseFormat::write($item->dose),
                byStaffId: $client->therapistId,
                at: $now,
                source: DoseSource::Therapist,
            ));
        }
        $routine->items = RoutineFormat::write($items);
        $this->entities->persist($routine);
    }

    /** @return array<string, int> how much each daily task matters */
    private static function goals(Node $written): array
    {
        $one = $written->optional('goal')?->raw();
        $goals = \is_string($one) ? [$one => Goals::MOST] : [];
        foreach ($written->optional('goals')?->map() ?? [] as $key => $weight) {
            $goals[$key] = $weight->int();
        }

        return $goals;
    }

    private function storeLog(CaseFile $case, Node $written, Client $client): void
    {
        $sittings = $lines = [];
        foreach ($written->optional('log')?->items() ?? [] as $node) {
            $lines[$node->get('id')->string()] = $node;
        }
        foreach ($case->log->lines as $place => $line) {
            $at = $line->day->setTime(8, 0)->modify('+'.$place.' seconds');
            $sittings[$line->sittingId] ??= $this->keep(new Sitting(
                $client,
                $line->day,
                1,
                actor: Actor::staff($client->therapistId),
                startedAt: $at,
            ));
            $rung = Cases::catalogue()->rung($line->rungId);
            $item = SittingItem::from($sittings[$line->sittingId], $place, new Item(
                $rung,
                $line->hands,
                $line->dose,
                Phrase::own(''),
            ));
            $told = LogFormat::told($lines[$line->id]);
            $item->keep(Fold::item([new ItemEvent(
                'line',
                EventKind::Line,
                $at,
                $line->day,
                told: $told,
            )]));
            $this->keep($item);
        }
    }
}
