<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Client\Client;
use HandGarden\Client\ClientRepository;
use HandGarden\Client\Helpers;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The one client whose plan a device opens, while they agree to it. */
final readonly class OfTheClient
{
    public function __construct(
        private ClientRepository $clients,
        private Consents $consents,
        private Helpers $helpers,
    ) {
    }

    public function for(HomeUser $user, bool $toChange = false): Client
    {
        $client = $toChange
            ? $this->clients->findToChange($user->clinicId(), $user->clientId())
            : $this->clients->find($user->clinicId(), $user->clientId());
        if (null === $client) {
            throw new NotFoundHttpException('There is no plan here.');
        }
        if (!$user->device->isIn()) { // it only hands in what it still has
            return $client;
        }
        if (
            $client->isArchived()
            || !$this->helps($client, $user)
            || !$this->consents->openPlan($client, $user->isHelper())
        ) {
            throw new NotFoundHttpException('There is no plan here.');
        }

        return $client;
    }

    private function helps(Client $client, HomeUser $user): bool
    {
        $id = $user->device->helperId;
        $helper = null === $id ? null : $this->helpers->find($client, $id);

        return null === $id || (null !== $helper && null === $helper->leftAt);
    }
}
