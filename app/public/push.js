// What a push service brings is shown even with the application shut; a tap opens the watch.
self.addEventListener('push', (event) => {
  let told = {};
  try {
    told = event.data?.json() ?? {};
  } catch {
    // What can't be read is still a call: the watch says what it is about.
  }
  const title = typeof told.title === 'string' ? told.title : 'Escale';
  const body = typeof told.body === 'string' ? told.body : '';
  const tag = typeof told.tag === 'string' ? told.tag : undefined;
  event.waitUntil(
    self.registration.showNotification(title, {
      body,
      icon: '/icon-192.png',
      requireInteraction: true,
      ...(tag ? { tag } : {}),
    }),
  );
});

self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  event.waitUntil(
    self.clients.matchAll({ type: 'window' }).then((open) => {
      const page = open[0];
      return page ? page.focus() : self.clients.openWindow('/watch');
    }),
  );
});
