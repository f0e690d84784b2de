package org.ulnaris.app.stock;

interface OwnContactRepository extends PartRows<OwnContact> {}
