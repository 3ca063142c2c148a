<?php

declare(strict_types=1);

namespace HandGarden\Desk\Mailbox;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Account\StaffRepository;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What would have been sent to the people of this clinic; where mail is really sent there is no such page. */
#[Route('/mailbox', name: 'desk_mailbox', methods: ['GET'])]
#[IsGranted('ROLE_LEAD')]
final class ShowMailbox extends AbstractController
{
    private const NEWEST = 50;

    public function __construct(
        #[Autowire('%env(MAILER_DSN)%')]
        private readonly string $dsn,
    ) {
    }

    public function __invoke(StaffRepository $people, EntityManagerInterface $entities): Response
    {
        if (!str_starts_with($this->dsn, MailboxTransport::SCHEME.'://')) {
            throw $this->createNotFoundException('Mail is not kept here.');
        }

        return $this->render('Desk/mailbox.html.twig', [
            'mails' => $entities->getRepository(KeptMail::class)->findBy(
                ['to' => array_column($people->all(), 'email')],
                ['at' => 'DESC', 'id' => 'DESC'],
                self::NEWEST,
            ),
        ]);
    }
}
