<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Account\Clinic;
use HandGarden\Account\Role;
use HandGarden\Account\Staff;
use HandGarden\Assessment\RecordedReading;
use HandGarden\Assessment\Visit;
use HandGarden\Caseload\Caseload;
use HandGarden\Client\Client;
use HandGarden\Client\ScreeningAnswer;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Screening\Answer;
use HandGarden\Planning\Plan;
use HandGarden\Sitting\Sitting;
use HandGarden\Sitting\SittingItem;
use HandGarden\Tests\Core\Cases;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;
use Symfony\Component\DomCrawler\Crawler;

/** Web tests through the kernel on a real database; every test starts from an empty one. */
abstract class GardenTestCase extends WebTestCase
{
    private static int $people = 0;

    protected KernelBrowser $browser;

    protected EntityManagerInterface $entities;

    protected function setUp(): void
    {
        KeptPages::of(static::class.'-'.$this->nameWithDataSet());
        $this->browser = static::createClient();
        $this->browser->disableReboot();
        $this->entities = $this->service(EntityManagerInterface::class);
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    protected function service(string $class): object
    {
        $service = static::getContainer()->get($class);
        self::assertInstanceOf($class, $service);

        return $service;
    }

    protected function clinic(string $name = 'Quayside Hand Clinic'): Clinic
    {
        return $this->keep(new Clinic($name, '112', 'Call the clinic.'));
    }

    protected function staff(Clinic $clinic, Role $role = Role::Therapist): Staff
    {
        $staff = new Staff(
            $clinic->id,
            \sprintf('%s%d@quayside.example', $role->value, ++self::$people),
            'Sefa Ouland',
            $role,
        );
        $staff->password = password_hash('secret', \PASSWORD_BCRYPT, ['cost' => 4]);

        return $this->keep($staff);
    }

    /** The stroke client of the examples, measured and screened today. */
    protected function client(
        Clinic $clinic,
        Staff $therapist,
        bool $measured = true,
        string $family = 'Brandt',
    ): Client {
        $now = new \DateTimeImmutable();
        $client = new Client($clinic->id, $therapist->id, $now);
        $client->givenName = 'Odalys';
        $client->familyName = $family;
        $client->setConditions([Condition::Stroke, Condition::Spasticity]);
        $client->setSides([Side::Right], [Side::Left]);
        $client->goals = ['clean-palm' => 3];
        $this->keep($client);
        if ($measured) {
            $today = new \DateTimeImmutable($now->format('Y-m-d'), new \DateTimeZone('UTC'));
            foreach (Cases::catalogue()->screening->questions as $question) {
                $this->entities->persist(
                    new ScreeningAnswer(
                        $clinic->id,
                        $client->id,
                        $question->id,
                        Answer::No,
                        askedOn: $today,
                        byStaffId: $therapist->id,
                        at: $now,
                    ),
                );
            }
            $visit = new Visit($clinic->id, $client->id, $today, $therapist->id, at: $now);
            $this->entities->persist($visit);
            foreach (Cases::example('tight-hand')->facts->measured->readings->current() as $r) {
                $this->entities->persist(
                    RecordedReading::from(
                        new Reading(
                            $r->code,
                            $r->side,
                            $r->mode,
                            $r->argument,
                            value: $r->value,
                            on: $today,
                        ),
                        $visit,
                        $therapist->id,
                        $now->modify('-1 hour'),
                    ),
                );
            }
            $this->entities->flush();
        }

        return $client;
    }

    /**
     * A sitting that began, with the items of the client's routine at home as they are now.
     */
    protected function sitting(Client $client, Staff $staff, ?\DateTimeImmutable $at = null): Sitting
    {
        $at ??= new \DateTimeImmutable();
        $sitting = $this->keep(
            new Sitting(
                $client,
                $at,
                1,
                actor: Actor::staff($staff->id),
                startedAt: $at,
            ),
        );
        foreach ($this->service(Plan::class)->items($client) as $place => $item) {
            $this->keep(SittingItem::from($sitting, $place, $item));
        }

        return $sitting;
    }

    /** @return list<SittingItem> in their order */
    protected function itemsOf(Sitting $sitting): array
    {
        $this->entities->clear();

        return $this->entities->getRepository(SittingItem::class)->findBy(
            ['sittingId' => $sitting->id],
            ['place' => 'ASC'],
        );
    }

    /** After a change that went past the application, straight into the database. */
    protected function changed(Client $client): void
    {
        $this->service(Caseload::class)->mark($client->id);
    }

    protected function signIn(Staff $staff): void
    {
        $this->browser->loginUser($staff);
    }

    /** Opens a page and gives its token, which every change needs. */
    protected function token(string $page = '/'): string
    {
        $crawler = $this->browser->request('GET', $page);

        return (string) $crawler->filter('input[name="_token"]')->first()->attr('value');
    }

    /** @param array<string, mixed> $form */
    protected function post(string $path, array $form, string $tokenFrom = '/'): Crawler
    {
        return $this->browser->request('POST', $path, ['_token' => $this->token($tokenFrom)] + $form);
    }

    /** @param array<string, mixed> $line */
    protected function postJson(string $path, array $line): int
    {
        $token = $this->token();
        $this->browser->request(
            'POST',
            $path,
            [],
            [],
            server: ['CONTENT_TYPE' => 'application/json', 'HTTP_X_GARDEN_TOKEN' => $token],
            content: json_encode($line, \JSON_THROW_ON_ERROR),
        );

        return $this->browser->getResponse()->getStatusCode();
    }

    protected function page(): string
    {
        return (string) $this->browser->getResponse()->getContent();
    }

    /** The page with white space as a browser shows it. */
    protected function shown(): string
    {
        return (string) preg_replace('/\s+/', ' ', $this->page());
    }

    protected function assertStatus(int $expected): void
    {
        self::assertSame(
            $expected,
            $this->browser->getResponse()->getStatusCode(),
            mb_substr(strip_tags($this->page()), 0, 800),
        );
    }

    /**
     * As it is in the database now; between requests the application forgets what it had loaded.
     *
     * @template T of object
     *
     * @param T&object{id: string} $record
     *
     * @return T
     */
    protected function fresh(object $record): object
    {
        $this->entities->clear();
        $found = $this->entities->find($record::class, $record->id);
        self::assertNotNull($found);

        return $found;
    }

    /**
     * @template T of object
     *
     * @param T $record
     *
     * @return T
     */
    protected function keep(object $record): object
    {
        $this->entities->persist($record);
        $this->entities->flush();

        return $record;
    }
}
