<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Words\Joined;

/** Everything that a report of a time may tell. */
final readonly class Material
{
    /**
     * @param string                    $wanted     the daily task in the client's words; empty: none was said
     * @param array<string, string>     $cautions   words by the question whose answer asks for them
     * @param list<Measured>            $measures   taken on two days or more
     * @param list<Once>                $once       taken on one day, or on none where they are asked for
     * @param list<Step>                $steps      oldest first
     * @param list<Incident>            $incidents  oldest first
     * @param list<Gap>                 $gaps       oldest first
     * @param list<Rating>              $ratings    oldest first
     * @param ?\DateTimeImmutable       $injectedOn the last tone injection
     * @param list<\DateTimeImmutable>  $medicine   days on which a change of it in the two weeks before was told
     * @param list<GroundedFinding>     $findings   of the affected hands
     * @param ?PlanNow                  $plan       null: nothing is planned at home
     * @param ?KeptHome                 $home       only for a discharge
     */
    public function __construct(
        public string $clientId,
        public Joined $conditions,
        public string $hands,
        public \DateTimeImmutable $from,
        public \DateTimeImmutable $until,
        public Numbers $numbers,
        public string $wanted = '',
        public Practice $practice = new Practice(),
        public array $cautions = [],
        public array $measures = [],
        public array $once = [],
        public array $steps = [],
        public array $incidents = [],
        public array $gaps = [],
        public array $ratings = [],
        public ?\DateTimeImmutable $injectedOn = null,
        public array $medicine = [],
        public array $findings = [],
        public ?PlanNow $plan = null,
        public ?NextVisit $nextVisit = null,
        public ?KeptHome $home = null,
    ) {
    }

    public function clientFact(): Fact
    {
        return new Fact(FactKind::Client, $this->clientId);
    }

    /** @return list<Measured> */
    public function judged(Judgement ...$as): array
    {
        return array_values(array_filter(
            $this->measures,
            static fn (Measured $m): bool => \in_array($m->judgement, $as, true),
        ));
    }
}
